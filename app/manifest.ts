import type { MetadataRoute } from 'next';

/** What a device needs to know to install Pellik. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: '/',
    name: 'Pellik',
    short_name: 'Pellik',
    description: 'Between the tape measure and the welder.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f4efe4',
    theme_color: '#23211d',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
