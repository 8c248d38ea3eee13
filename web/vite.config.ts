import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { earlyFile } from './earlyFile.ts';
import { choosePageFiles } from './choosePageFiles.ts';
import { compressedFiles } from './compressedFiles.ts';
import { letterFiles } from './letterFiles.ts';
import { noCircles } from './noCircles.ts';

const api = process.env['BRINE_API'] ?? 'http://127.0.0.1:4781';

/** What makes the application one that can be installed, and that starts without signal. */
const offline = VitePWA({
  strategies: 'injectManifest',
  srcDir: 'src',
  filename: 'serviceWorker.ts',
  injectRegister: false,
  injectManifest: {
    globPatterns: ['**/*.{html,js,mjs,css,woff,woff2,svg,png,wasm}'],
    globIgnores: ['letters/**'],
    maximumFileSizeToCacheInBytes: 4_000_000,
    rollupFormat: 'iife',
  },
  manifest: {
    name: 'Brine Dial',
    short_name: 'Brine Dial',
    description: 'Plans, wires, programs and proves refrigeration controllers.',
    start_url: '/today',
    scope: '/',
    display: 'standalone',
    background_color: '#f4f2ec',
    theme_color: '#17282b',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512-round.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
    ],
  },
});

/** How the files of the program are cut: on a slow line each file costs a way there and back. */
const chunksWith = (pageFiles: ReadonlyMap<string, string>) => ({
  groups: [
    {
      name: (id: string) => pageFiles.get(id) ?? null,
      debugName: 'by pages',
      includeDependenciesRecursively: false,
    },
    // Small things of the other pages.
    {
      name: 'common',
      test: /web\/src\/shared\/(api|device|keys|live|mount|pictures|session|ui)\/|node_modules\/(@vueuse|lucide)/,
      minShareCount: 5,
      includeDependenciesRecursively: false,
    },
  ],
});

const resolve = { conditions: ['brine-src', 'module', 'browser', 'development|production'] };
const worker = { format: 'es' as const };

export default defineConfig(async ({ command }) => ({
  plugins: [vue(), tailwindcss(), letterFiles(), earlyFile(), noCircles(), offline, compressedFiles()],
  resolve,
  worker,
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      output: {
        codeSplitting: chunksWith(
          command === 'build' ? await choosePageFiles({ resolve, worker }) : new Map(),
        ),
      },
    },
  },
  server: { proxy: { '/api': api, '/demo/api': api, '/health': api } },
}));
