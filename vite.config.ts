import react from '@vitejs/plugin-react';
import { serwist } from '@serwist/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: process.env.VITEST
    ? [react()]
    : [
        // The second is what the bench holds the first visits against; no page asks for it.
        laravel({ input: ['resources/js/app/main.tsx', 'resources/js/bench/empty.tsx'], refresh: false }),
        react(),
        serwist({
          swSrc: 'resources/js/sw.ts',
          swDest: '../sw.js',
          injectionPoint: 'self.__SW_MANIFEST',
          rollupFormat: 'iife',
          globDirectory: 'public/build',
          globPatterns: ['assets/*.{js,css,woff2}'],
          globIgnores: ['assets/empty-*'],
          modifyURLPrefix: { '': '/build/' },
        }),
      ],
  build: { target: 'es2022', chunkSizeWarningLimit: 700 },
  // What needs a document says so at its head; the others start without one.
  test: { environment: 'node', include: ['resources/js/**/*.test.{ts,tsx}', 'tests/node/**/*.test.ts'] },
});
