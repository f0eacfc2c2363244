import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'sw.ts',
      injectRegister: false,
      injectManifest: { globPatterns: ['assets/**/*.{js,css,woff2}', '*.{svg,js}', 'icons/*.png'] },
      manifest: {
        id: '/',
        name: 'Hushed Lantern',
        short_name: 'Lantern',
        description: 'Tonight’s round: what needs a hand, and what must be left alone.',
        start_url: '/',
        scope: '/',
        display: 'standalone',
        background_color: '#15120f',
        theme_color: '#15120f',
        icons: [
          { src: '/icons/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icons/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icons/maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: '/lantern.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
        shortcuts: [
          { name: 'Stock', url: '/stock' },
          { name: 'Larder', url: '/larder' },
        ],
      },
    }),
  ],
  build: { outDir: 'dist', emptyOutDir: true, chunkSizeWarningLimit: 700 },
  server: { proxy: { '/api': 'http://127.0.0.1:5087' } },
  test: { environment: 'node' },
});
