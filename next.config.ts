import type { NextConfig } from 'next';
import { PERMISSIONS } from './src/server/contentSecurity';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Packages under Ant Design that do not say they are free of side effects: of a form only its context is used.
  experimental: {
    optimizePackageImports: [
      '@rc-component/color-picker',
      '@rc-component/form',
      '@rc-component/motion',
      '@rc-component/slider',
      '@rc-component/trigger',
      '@rc-component/util',
    ],
  },
  headers: async () => [
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'no-referrer' },
        { key: 'Permissions-Policy', value: PERMISSIONS },
      ],
    },
  ],
};

export default config;
