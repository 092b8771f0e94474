import { buildIfNeeded } from './build.ts';
import { freePort } from './ports.ts';
import type { Addresses } from './postgres/cluster.ts';
import { startPassingCluster } from './postgres/passing.ts';
import { createDatabase, prepareStudio } from './studio.ts';
import { startWebServer, type WebServer } from './webServer.ts';

export interface PassingStudio {
  readonly web: WebServer;
  readonly addresses: Addresses;
}

/** Serves the demo studio, built first where it must be, and takes all of it away again. */
export async function withPassingStudio(run: (studio: PassingStudio) => Promise<void>): Promise<void> {
  buildIfNeeded();
  const cluster = await startPassingCluster();
  try {
    await createDatabase(cluster.of('postgres').owner, 'passing');
    const addresses = cluster.of('passing');
    await prepareStudio(addresses);
    const web = await startWebServer(await freePort(), addresses.app, 'silent');
    try {
      await run({ web, addresses });
    } finally {
      await web.stop();
    }
  } finally {
    await cluster.stop();
  }
}
