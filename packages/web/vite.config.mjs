import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { outDir: 'dist/app', manifest: true, emptyOutDir: true, target: 'es2022', assetsInlineLimit: 0 },
  worker: { format: 'es' },
  server: { host: '127.0.0.1', proxy: { '/api': process.env['API'] ?? 'http://127.0.0.1:4180' } },
});
