import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import api from './src/api/openapi.json' with { type: 'json' };

// The page is served by the server itself; only `./jolly dev` puts Vite in front of it.
const server = `http://127.0.0.1:${process.env.JOLLY_PORT ?? 5210}`;
const forward = { target: server, changeOrigin: true, headers: { origin: server } };

export default defineConfig({
  plugins: [
    react(),
    VitePWA({
      injectRegister: null,
      manifest: {
        name: 'Jolly Knot',
        short_name: 'Jolly Knot',
        description: 'Plans a baking day, runs it at the bench, and learns from it.',
        id: '/',
        start_url: '/',
        display: 'standalone',
        background_color: '#f3f6f4',
        theme_color: '#17324a',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // The page and its code; never an answer of the server, and never the door.
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/(api|live|health|openapi|house)(\/|$)/],
        // A new version takes over at once; pages that are open have all their code already.
        skipWaiting: true,
        clientsClaim: true,
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  define: { __API_VERSION__: JSON.stringify(api.info.version) },
  build: { chunkSizeWarningLimit: 900 },
  server: {
    host: '127.0.0.1',
    proxy: { '^/(api|health|openapi|docs|house)': forward, '/live': { ...forward, ws: true } },
  },
});
