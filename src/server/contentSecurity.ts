const development = process.env.NODE_ENV === 'development';

/**
 * What the browser is told that a page may do: everything Pellik needs is served by Pellik, so it asks nobody else; scripts run
 * from its own files, and inline only with the nonce of this answer. (Styles are made in the page by its library.)
 */
export const contentSecurityPolicy = (nonce: string): string =>
  [
    "default-src 'self'",
    // Development reloads through eval.
    `script-src 'self' 'nonce-${nonce}'${development ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

/** Nothing of the device is used but what is asked for at its button: a picture through the file chooser, the page on paper. */
export const PERMISSIONS = [
  'accelerometer',
  'camera',
  'display-capture',
  'geolocation',
  'gyroscope',
  'magnetometer',
  'microphone',
  'midi',
  'payment',
  'usb',
]
  .map((feature) => `${feature}=()`)
  .join(', ');
