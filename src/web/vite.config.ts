import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import api from './src/api/openapi.json' with { type: 'json' };

// The page is served by the server itself; only `./jolly dev` puts Vite in front of it.
const server = `http://127.0.0.1:${process.env.JOLLY_PORT ?? 5210}`;
const forward = { target: server, changeOrigin: true, headers: { origin: server } };

export default defineConfig({
  plugins: [react()],
  define: { __API_VERSION__: JSON.stringify(api.info.version) },
  build: { chunkSizeWarningLimit: 900 },
  server: {
    host: '127.0.0.1',
    proxy: { '^/(api|health|openapi|docs|house)': forward, '/live': { ...forward, ws: true } },
  },
});
