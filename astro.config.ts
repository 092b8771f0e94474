import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { clothSourceHash } from './scripts/cloth/sourceHash.ts';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  integrations: [react()],
  devToolbar: { enabled: false },
  // Hosts and origins are checked by the server in front of the pages, for endpoints too.
  security: { checkOrigin: false },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' blob: data:",
        "object-src 'none'",
        "base-uri 'none'",
        "frame-ancestors 'none'",
        "form-action 'self'",
      ],
    },
  },
  // Fonts stay files: the pages' policy takes none that are written into the styles.
  vite: {
    build: { assetsInlineLimit: 0 },
    plugins: [tailwindcss()],
    define: { __CLOTH_SOURCE__: JSON.stringify(clothSourceHash()), __STEPS_SOURCE__: JSON.stringify(clothSourceHash('steps')) },
  },
});
