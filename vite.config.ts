import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';

/** The store's server during development; it takes requests only from its own address. */
const api = `http://127.0.0.1:${process.env.UW_API_PORT ?? '4199'}`;

export default defineConfig({
  root: 'web',
  // A line break between two inline elements is a space, as in HTML; the formatter relies on it.
  plugins: [vue({ template: { compilerOptions: { whitespace: 'preserve' } } }), tailwindcss()],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    target: 'es2023',
    manifest: true,
    rolldownOptions: {
      output: {
        // Left alone, a page of a job is fifty small chunks, and each costs a browser more than its bytes. What every
        // such page needs comes in two; the first page needs neither. Lists and fields that search are on few of them.
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'], priority: 2 },
            { name: 'plain', test: /\/core\/(quantity|words|vehicle)\/|plugin-vue/, minShareCount: 2, priority: 1 },
            ...[
              { name: 'list-table', test: /\/web\/parts\/ListTable|@tanstack/ },
              { name: 'pick-field', test: /\/web\/parts\/PickField|headlessui.*combobox/ },
            ].map((group) => ({ ...group, minShareCount: 2, priority: 1, includeDependenciesRecursively: false })),
            { name: 'engine', test: /\/core\//, minShareCount: 4 },
            { name: 'stage-parts', test: /\/web\/(parts|stages)\//, minShareCount: 4 },
          ],
        },
      },
    },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': { target: api, changeOrigin: true, headers: { origin: api } } } },
});
