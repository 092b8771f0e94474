import { Bench } from 'tinybench';
import type { CrowdedStudio } from './crowdedStudio.ts';
import { median, report } from './report.ts';

/** Finding by typing, over HTTP, against the bare statement on the same database. */
export async function benchSearch({ address, sql }: CrowdedStudio): Promise<void> {
  const ask = async (path: string) => {
    const response = await fetch(address + path);
    await response.arrayBuffer();
  };
  const words = ['%table%', '%7%'];
  const tieWords = ['%spare%', '%19%'];
  const bench = new Bench({ time: 2500, warmupTime: 500 });
  bench
    .add(
      'clients, bare SQL',
      () => sql`select * from clients where search like all (${words}) and not archived order by lower(name), id limit 50`,
    )
    .add('clients, endpoint', () => ask('/api/clients?find=table+7'))
    .add(
      'ties, bare SQL',
      () => sql`select * from ties where search like all (${tieWords}) and not archived order by lower(label), id limit 50`,
    )
    .add('ties, endpoint', () => ask('/api/ties?find=spare+19'));
  await bench.run();
  const [bareClients = 0, clients = 0, bareTies = 0, ties = 0] = bench.tasks.map(median);
  report([
    ['5,000 clients, bare SQL', `${bareClients.toFixed(2)} ms`, ''],
    ['/api/clients?find=', `${clients.toFixed(2)} ms`, `${(clients / bareClients).toFixed(1)} × bare`],
    ['2,000 ties, bare SQL', `${bareTies.toFixed(2)} ms`, ''],
    ['/api/ties?find=', `${ties.toFixed(2)} ms`, `${(ties / bareTies).toFixed(1)} × bare`],
  ]);
}
