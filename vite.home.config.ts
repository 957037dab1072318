import react from '@vitejs/plugin-react';
import { serwist } from '@serwist/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { contract } from './vite.contract.ts';

/** The player's page at home: an entry, a build and a service worker of its own, which know nothing of the coach's. */
export default defineConfig({
  define: contract,
  plugins: [
    laravel({ input: ['resources/js/at-home/main.tsx'], buildDirectory: 'build-home', refresh: false }),
    react(),
    serwist({
      swSrc: 'resources/js/at-home/sw.ts',
      swDest: '../at-home-sw.js',
      injectionPoint: 'self.__SW_MANIFEST',
      rollupFormat: 'iife',
      globDirectory: 'public/build-home',
      globPatterns: ['assets/*.{js,css,woff2}'],
      modifyURLPrefix: { '': '/build-home/' },
    }),
  ],
  build: { target: 'es2022' },
});
