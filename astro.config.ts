import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import type { AstroIntegration } from 'astro';
import { defineConfig } from 'astro/config';
import { clothSourceHash } from './scripts/cloth/sourceHash.ts';

/** Islands are drawn by the server as it suits other requests, and taken over by React’s own client. */
const drawnInTurns: AstroIntegration = {
  name: 'drawn-in-turns',
  hooks: {
    'astro:config:setup': ({ addRenderer }) =>
      addRenderer({
        name: 'react-in-turns',
        clientEntrypoint: '@astrojs/react/client.js',
        serverEntrypoint: new URL('./src/layouts/drawnInTurns.ts', import.meta.url),
      }),
  },
};

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'middleware' }),
  // The first that takes a component draws it.
  integrations: [drawnInTurns, react()],
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
