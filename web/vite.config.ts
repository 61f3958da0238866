import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';
import { compiledAtOnce, packed, together } from './delivery.ts';

export default defineConfig({
  plugins: [react(), tailwindcss(), compiledAtOnce(), packed()],
  build: {
    license: { fileName: 'licenses/THIRD-PARTY-WEB.md' },
    assetsInlineLimit: 0,
    // The server reads it to say beside a lab's entry page what the lab will import.
    manifest: 'manifest.json',
    rolldownOptions: { output: { codeSplitting: together } },
    modulePreload: {
      // What a lab's page imports the browser finds by itself, or has from the server's word.
      resolveDependencies: (file, needed) => (/\/WorkPage-[^/]*\.js$/.test(file) ? [] : needed),
    },
  },
  // The guides in docs/ are read by a test.
  server: { proxy: { '/api': 'http://127.0.0.1:8137' }, fs: { allow: ['..'] } },
  test: {
    environment: 'happy-dom',
    environmentOptions: { happyDOM: { url: 'http://localhost/' } },
    // One page for all files: making one anew for each, with all that it imports, took three quarters of the time.
    isolate: false,
  },
});
