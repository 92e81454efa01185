/** Bundles the service worker with the list of what a build is made of, so that all of it is there offline: after each build. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { getManifest } from '@serwist/build';
import { build } from 'esbuild';
import { root } from './setup.mjs';

const revision = readFileSync(join(root, '.next', 'BUILD_ID'), 'utf8');

const { manifestEntries } = await getManifest({
  globDirectory: join(root, '.next', 'static'),
  globPatterns: ['**/*.{js,css,woff2,svg}'],
  // Every file is named after what is in it.
  dontCacheBustURLsMatching: /./,
  modifyURLPrefix: { '': '/_next/static/' },
});
const pages = ['/', '/manifest.webmanifest', '/icon.svg', '/icon-192.png', '/icon-512.png'];

await build({
  entryPoints: [join(root, 'src', 'offline', 'serviceWorker.ts')],
  outfile: join(root, 'public', 'sw.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  logLevel: 'warning',
  define: {
    PRECACHED: JSON.stringify([...manifestEntries, ...pages.map((url) => ({ url, revision }))]),
    'process.env.NODE_ENV': '"production"',
  },
});
