import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
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
