import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'astro/config';
import { clothSourceHash } from './scripts/cloth/sourceHash.ts';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  devToolbar: { enabled: false },
  // Endpoints take JSON only, which a foreign page cannot send without asking first.
  security: { checkOrigin: false },
  vite: { plugins: [tailwindcss()], define: { __CLOTH_SOURCE__: JSON.stringify(clothSourceHash()) } },
});
