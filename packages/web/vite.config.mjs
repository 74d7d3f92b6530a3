import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const noFetch = fileURLToPath(new URL('./src/references/noFetch.ts', import.meta.url));

export default defineConfig({
  plugins: [react(), tailwindcss()],
  resolve: {
    // A package that reads references could look them up too; here it can not.
    alias: { 'node-fetch': noFetch, 'sync-fetch': noFetch },
  },
  build: {
    outDir: 'dist/app',
    manifest: true,
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    rollupOptions: {
      output: {
        // The reader of pictures looks for its data by its name.
        assetFileNames: ({ names }) =>
          names.some((name) => name.endsWith('.traineddata.gz'))
            ? 'assets/[name][extname]'
            : 'assets/[name]-[hash][extname]',
      },
    },
  },
  worker: { format: 'es' },
  server: {
    host: '127.0.0.1', // The origin is kept: the server answers only to pages of its own host and port.
    proxy: { '/api': { target: process.env['API'] ?? 'http://127.0.0.1:4180', changeOrigin: false } },
  },
});
