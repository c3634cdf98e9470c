/// <reference types="vitest/config" />
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    // The worker that keeps the page for when there is no network; the page registers it itself.
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'worker',
      filename: 'sw.ts',
      injectRegister: null,
      manifest: false,
      injectManifest: {
        globPatterns: ['assets/**/*.{js,css,woff2}', 'icon.svg', 'icon-192.png'],
        // Licences are read on a quiet evening, not in a kitchen without a network.
        globIgnores: ['assets/licences*'],
        dontCacheBustURLsMatching: /^assets\//,
      },
    }),
    compression({ algorithms: ['gzip', 'brotliCompress'], exclude: [/\.(woff2?|html|png)$/] }),
  ],
  build: { target: 'es2022', assetsInlineLimit: 0, reportCompressedSize: false },
  server: { port: 5173, strictPort: true, proxy: { '/api': 'http://127.0.0.1:7411' } },
  test: {
    environment: 'jsdom',
    include: ['src/**/*.test.{ts,tsx}'],
    restoreMocks: true,
    // One copy of the router for the packages that hang on it.
    server: { deps: { inline: ['nuqs'] } },
  },
});
