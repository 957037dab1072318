import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

/** What stands in the page itself: a file of its own would come after the libraries that it is to be ahead of. */
export default defineConfig({
  plugins: [laravel({ input: ['resources/js/early.ts'], buildDirectory: 'build-early', refresh: false })],
  build: { target: 'es2022', modulePreload: false, rolldownOptions: { output: { format: 'iife' } } },
});
