// Who may import whom, folder by folder; whatever is not named here may not. docs/architecture.md tells why.
// Plain JavaScript, since the checker that reads it is run without TypeScript.

const rooms = ['fitting', 'clients', 'wardrobe', 'knots', 'fitbook', 'practice', 'studio'];
const underRooms = ['islands/atHand', 'islands/records', 'islands/seen', 'islands/ui', 'islands/wire', 'islands/device'];

/** @type {Readonly<Record<string, readonly string[]>>} */
export const layers = {
  core: [],
  contract: ['core'],
  drawing: ['core'],
  scene: ['drawing', 'core'],
  workers: ['contract', 'core'],
  server: ['contract', 'core'],
  shell: ['server', 'contract'],
  'islands/device': ['workers', 'contract', 'core'],
  'islands/wire': ['islands/device', 'contract', 'core'],
  'islands/ui': ['islands/wire', 'islands/device', 'drawing', 'contract', 'core'],
  'islands/seen': ['islands/ui', 'islands/wire', 'islands/device', 'workers', 'scene', 'drawing', 'contract', 'core'],
  'islands/records': ['islands/seen', 'islands/ui', 'islands/wire', 'islands/device', 'drawing', 'contract', 'core'],
  'islands/atHand': ['islands/records', 'islands/seen', 'islands/ui', 'islands/wire', 'islands/device', 'drawing', 'contract', 'core'],
  ...Object.fromEntries(rooms.map((room) => [`islands/${room}`, [...underRooms, 'workers', 'drawing', 'contract', 'core']])),
  layouts: ['islands/atHand', 'islands/records', 'islands/ui', 'contract'],
  pages: [...rooms.map((room) => `islands/${room}`), ...underRooms, 'layouts', 'server', 'contract', 'core'],
};

/** What of Node.js and of the registry is no business of a folder's. */
const noInterface = ['react', 'react-dom', 'react-aria-components', 'three', 'astro', '@tanstack/', 'zustand', 'zundo'];
const noServer = ['postgres', 'postgrator', 'express', 'pino', 'astro'];

/** @type {Readonly<Record<string, readonly string[]>>} */
export const foreign = {
  core: [...noInterface, ...noServer, 'joi', 'builtin'],
  contract: [...noInterface, ...noServer, 'builtin'],
  drawing: [...noServer, 'joi', 'three', 'builtin'],
  scene: [...noServer, 'joi', 'react', 'react-dom', 'builtin'],
  workers: [...noInterface, ...noServer, 'joi', 'builtin'],
  server: ['react', 'react-dom', 'three', 'express'],
  shell: ['react', 'react-dom', 'three', 'postgres'],
  islands: [...noServer, 'three', 'builtin'],
};
