import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The store's server during development; it takes requests only from its own address. */
const api = `http://127.0.0.1:${process.env.UW_API_PORT ?? '4199'}`;

/** The pages open with the server away. A newer program waits until somebody takes it: nobody is torn from a job. */
const outOfReach = VitePWA({
  registerType: 'prompt',
  injectRegister: false,
  manifest: {
    name: 'Unhurried Wrench',
    short_name: 'Wrench',
    description: 'Throttle body and idle air valve work, in order.',
    start_url: '/bay',
    display: 'standalone',
    background_color: '#F7F3EA',
    theme_color: '#F7F3EA',
    icons: [{ src: '/tag.svg', sizes: 'any', type: 'image/svg+xml' }],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,woff2}'],
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
    // The page that brings it is looked after at once: its pictures are kept from then on.
    clientsClaim: true,
    runtimeCaching: [
      {
        // A picture's address is the hash of its content: what was fetched once is never another.
        urlPattern: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/api/pictures/'),
        handler: 'CacheFirst',
        options: { cacheName: 'pictures', expiration: { maxEntries: 900, purgeOnQuotaError: true } },
      },
    ],
  },
});

export default defineConfig({
  root: 'web',
  // A line break between two inline elements is a space, as in HTML; the formatter relies on it.
  plugins: [vue({ template: { compilerOptions: { whitespace: 'preserve' } } }), tailwindcss(), outOfReach],
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
            {
              name: 'plain',
              test: /\/core\/(quantity|words|vehicle)\/|\/core\/bay\/(left\/skills|weave\/problem)|plugin-vue/,
              minShareCount: 2,
              priority: 1,
            },
            ...[
              { name: 'list-table', test: /\/web\/parts\/ListTable|@tanstack/ },
              { name: 'pick-field', test: /\/web\/parts\/PickField|headlessui.*combobox/ },
              // What asks the server is small, and lists ask without any stage of a job.
              { name: 'asking', test: /\/web\/data\/(asking|read|pages)\.ts/ },
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
