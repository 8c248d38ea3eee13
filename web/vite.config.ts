import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { letterFiles } from './letterFiles.ts';

const api = process.env['BRINE_API'] ?? 'http://127.0.0.1:4781';

export default defineConfig({
  plugins: [vue(), tailwindcss(), letterFiles()],
  resolve: { conditions: ['brine-src', 'module', 'browser', 'development|production'] },
  worker: { format: 'es' },
  build: { target: 'es2022', chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': api, '/health': api } },
});
