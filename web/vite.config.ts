import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [tailwindcss(), svelte()],
  // Everything ships as files of our own origin: the content security policy allows no data: scripts or styles.
  build: { assetsInlineLimit: 0, modulePreload: { polyfill: false } },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:8350', '/engine': 'http://127.0.0.1:8350' } },
});
