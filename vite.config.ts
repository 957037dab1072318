import react from '@vitejs/plugin-react';
import { serwist } from '@serwist/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vitest/config';
import { contract } from './vite.contract.ts';

const tests = ['resources/js/**/*.test.{ts,tsx}', 'tests/node/**/*.test.ts'];
const withState = 'resources/js/{early,app/*,at-home/store,shared/api/{client,early},shared/lib/{deviceStore,planInHand,outbox*,readiness}}.test.ts';

/** What every view stands on. */
const libraries = /\/node_modules\/(react|react-dom|scheduler|react-router|@tanstack|idb)\/|vite\/preload-helper|rolldown\/runtime/;
/** What most views have in common; not what only one needs, nor what is fetched when it is asked for. */
const together = (id: string): boolean => /\/resources\/js\/(shared|kernel)\/.*\.tsx?$/.test(id) && !apart.test(id);
/** What answers are read by where they may be of another version. */
const schemas = /\/node_modules\/zod\/|\/shared\/api\/(\w*[sS]chemas|zod)\.ts$/;
const apart =
  /\/api\/zod\.|\/shared\/api\/\w*[sS]chemas\.|\/shared\/clock\/|\/shared\/theme\/(?!tokens|putOn)|\/lib\/search\.|\/api\/(season|home)|\/ui\/(OverView|WeekBand|SeasonChoice|ResetPicture|WalkedDrawing)/;

export default defineConfig({
  // The tests say themselves which one they mean.
  define: process.env.VITEST ? {} : contract,
  plugins: process.env.VITEST
    ? [react()]
    : [
        // The last is what the bench holds the first visits against; no page asks for it.
        laravel({ input: ['resources/js/app/main.tsx', 'resources/js/bench/empty.tsx'], refresh: false }),
        react(),
        serwist({
          swSrc: 'resources/js/sw.ts',
          swDest: '../sw.js',
          injectionPoint: 'self.__SW_MANIFEST',
          rollupFormat: 'iife',
          // What the run needs is built before this, and what stands in the pages, by whose name they are told from another version's.
          globDirectory: 'public',
          globPatterns: ['{build,build-run,build-early}/assets/*.{js,css,woff2}'],
          globIgnores: ['build/assets/empty-*'],
          modifyURLPrefix: { '': '/' },
        }),
      ],
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 700,
    // Many small files cost a phone more in round trips than all of them weigh.
    rolldownOptions: {
      output: {
        // Nearly all of these is called at once: a browser that knows the hint compiles them while they are read.
        postBanner: ({ name }) => (['libraries', 'shared', 'TodayPage', 'PlanPage'].includes(name) ? '//# allFunctionsCalledOnLoad' : ''),
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: 'libraries', test: libraries },
            { name: 'shared', test: together },
            { name: 'schemas', test: schemas },
          ],
        },
      },
    },
  },
  // What needs a document says so at its head; the others start without one.
  test: {
    environment: 'node',
    pool: 'threads',
    // Far above what any test needs: the machine has other things to do beside it.
    testTimeout: 60_000,
    projects: [
      // What is tried with a store, a clock or a network made up starts afresh for each file; what only reckons need not.
      { extends: true, test: { name: 'afresh', include: [withState] } },
      { extends: true, test: { name: 'together', isolate: false, include: tests, exclude: [withState] } },
    ],
  },
});
