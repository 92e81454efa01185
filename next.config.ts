import type { NextConfig } from 'next';
import { PERMISSIONS } from './src/server/contentSecurity';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
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
