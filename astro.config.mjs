import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  server: { host: '127.0.0.1' },
  devToolbar: { enabled: false },
  // The endpoint wrapper refuses other sites by Fetch Metadata; Astro's check compares with a host it guesses.
  security: { checkOrigin: false },
  integrations: [react()],
  vite: {
    plugins: [tailwindcss()],
    ssr: { external: ['better-sqlite3', 'sharp'] },
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 900 },
  },
});
