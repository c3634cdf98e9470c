/// <reference types="vitest/config" />
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression } from 'vite-plugin-compression2';

export default defineConfig({
  plugins: [react(), compression({ algorithms: ['gzip', 'brotliCompress'], exclude: [/\.(woff2?|html)$/] })],
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
