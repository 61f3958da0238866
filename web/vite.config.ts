import { fileURLToPath } from 'node:url';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

/** Drawings of apparatus that don't ship: those that tests bring. */
const more = process.env.CAULDRON_MORE_SCENES ?? fileURLToPath(new URL('./src/scenes/more', import.meta.url));

export default defineConfig({
  resolve: { alias: { '@more': more } },
  plugins: [react(), tailwindcss()],
  build: { license: { fileName: 'licenses/THIRD-PARTY-WEB.md' }, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:8137' } },
  test: { environment: 'happy-dom', environmentOptions: { happyDOM: { url: 'http://localhost/' } } },
});
