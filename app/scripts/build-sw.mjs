// After `expo export`: a service worker that keeps the application itself for use without a connection.
import { generateSW } from 'workbox-build';

const { count, size, warnings } = await generateSW({
  globDirectory: 'dist',
  globPatterns: ['**/*.{html,js,css,ttf,png,ico,svg,webmanifest}'],
  globIgnores: ['sw.js', '**/*.map'],
  swDest: 'dist/sw.js',
  mode: 'production',
  sourcemap: false,
  inlineWorkboxRuntime: true,
  skipWaiting: true,
  clientsClaim: true,
  cleanupOutdatedCaches: true,
  dontCacheBustURLsMatching: /^(_expo\/static|assets)\//,
  maximumFileSizeToCacheInBytes: 16 * 1024 * 1024,
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//],
});
for (const w of warnings) console.warn(w);
console.log(`sw.js: ${count} files, ${(size / 1048576).toFixed(1)} MB`);
if (warnings.length > 0) process.exitCode = 1;
