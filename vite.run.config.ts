import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { contract } from './vite.contract.ts';

/** The run: an entry and a build of its own, without the router and what only other views need. The coach's service worker holds it. */
export default defineConfig({
  define: contract,
  plugins: [laravel({ input: ['resources/js/app/run.tsx'], buildDirectory: 'build-run', refresh: false }), react()],
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    // What is fetched later is held by the service worker: naming it ahead saves nothing.
    modulePreload: false,
    // Nearly all of it is called at once: a browser that knows the hint compiles it while it is read, beside the page's own work.
    rolldownOptions: { output: { postBanner: (chunk) => (chunk.isEntry ? '//# allFunctionsCalledOnLoad' : '') } },
  },
});
