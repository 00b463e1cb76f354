import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** The light ground, as in app.css. */
const PAPER = '#f7f3ea';

export default defineConfig({
  plugins: [
    tailwindcss(),
    svelte(),
    // What keeps the page in a browser that took something along; no other browser asks for it.
    VitePWA({
      filename: 'sw.js',
      injectRegister: null,
      // A page that somebody works on stays as it is: a newer one comes when they look again.
      registerType: 'prompt',
      manifest: {
        name: 'Sparen',
        short_name: 'Sparen',
        description: 'Load disconnects, relay outputs and diversion, tried before you leave the site',
        display: 'standalone',
        background_color: PAPER,
        theme_color: PAPER,
        icons: [{ src: 'favicon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // Lives in one file of our own origin, and takes pages over that are open.
        inlineWorkboxRuntime: true,
        clientsClaim: true,
        cleanupOutdatedCaches: true,
        navigateFallback: null,
        runtimeCaching: [
          // The core comes from the Java modules, beside the page.
          {
            urlPattern: /\/engine\/core\.js$/,
            handler: 'NetworkFirst',
            options: { cacheName: 'sparen-core' },
          },
          {
            urlPattern: /\/api\/sites\/[^/]+\/(log-photos|commissioning\/photos)\/[^/]+$/,
            method: 'GET',
            // Of what was taken along only, and only where the server cannot be asked who may see it.
            handler: 'NetworkFirst',
            options: {
              cacheName: 'sparen-photos',
              plugins: [{ cacheWillUpdate: () => Promise.resolve(null) }],
            },
          },
        ],
      },
    }),
  ],
  // Everything ships as files of our own origin: the content security policy allows no data: scripts or styles.
  build: {
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    // The component library describes the look of each of its components by a call: those nobody uses are left out.
    rolldownOptions: { treeshake: { manualPureFunctions: ['tv'] } },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:8350', '/engine': 'http://127.0.0.1:8350' } },
});
