import { connect, createServer } from 'node:net';

export const loopback = '127.0.0.1';

/** A port that nothing listens on at this moment. */
export async function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, loopback, () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

export async function isTaken(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const socket = connect({ port, host: loopback });
    const answer = (taken: boolean) => {
      socket.destroy();
      resolve(taken);
    };
    socket.once('connect', () => answer(true));
    socket.once('error', () => answer(false));
  });
}
