// The service worker that keeps the application on the device. A new version waits until it is asked for; /api is never cached.
import { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';

const { generateSW } = createRequire(new URL('../app/package.json', import.meta.url))('workbox-build');
const dist = fileURLToPath(new URL('../app/dist/', import.meta.url));
const { count, size } = await generateSW({
  globDirectory: dist,
  globPatterns: ['**/*.{html,js,css,woff2,svg,png,webmanifest}'],
  swDest: `${dist}sw.js`,
  inlineWorkboxRuntime: true,
  importScripts: ['push.js'],
  clientsClaim: true,
  skipWaiting: false,
  maximumFileSizeToCacheInBytes: 8e6,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//, /^\/enter\//, /^\/(demo\/)?c\//],
  dontCacheBustURLsMatching: /[.-][0-9a-f]{32}\./,
  sourcemap: false,
  mode: 'production',
});
console.log(`service worker: ${count} files, ${(size / 1e6).toFixed(1)} MB`);
