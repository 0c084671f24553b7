import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  server: { host: '127.0.0.1' },
  devToolbar: { enabled: false },
  // The gate before the application compares Origin and Host; Astro's check compares with a host it guesses.
  security: { checkOrigin: false },
  experimental: {
    csp: {
      directives: [
        "default-src 'none'",
        "connect-src 'self'",
        "font-src 'self'",
        "form-action 'self'",
        "img-src 'self' blob: data:",
        "worker-src 'self'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
      ],
    },
  },
  // Pictures are made by Vetro itself; the framework's own endpoint for them answers nothing.
  image: { endpoint: { route: '/_image', entrypoint: './src/server/nothing-here.ts' } },
  integrations: [react()],
  vite: {
    plugins: [tailwindcss()],
    ssr: { external: ['better-sqlite3', 'piscina', 'sharp'] },
    worker: { format: 'es' },
    build: { chunkSizeWarningLimit: 900 },
  },
});
