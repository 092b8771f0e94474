import { connect, createServer, type Socket } from 'node:net';
import { loopback } from '../../scripts/machine/ports.ts';

/** A way to the database that can be shut, as when a cable is pulled, and opened again. */
export interface Gate {
  readonly port: number;
  readonly shut: () => void;
  readonly open: () => void;
  readonly close: () => Promise<void>;
}

export async function openGate(behindPort: number): Promise<Gate> {
  const sockets = new Set<Socket>();
  let isOpen = true;
  const server = createServer((outer) => {
    if (!isOpen) {
      outer.destroy();
      return;
    }
    const inner = connect(behindPort, loopback);
    for (const socket of [outer, inner]) {
      sockets.add(socket);
      socket.on('error', () => socket.destroy());
      socket.on('close', () => {
        sockets.delete(socket);
        outer.destroy();
        inner.destroy();
      });
    }
    outer.pipe(inner).pipe(outer);
  });
  await new Promise<void>((resolve) => server.listen(0, loopback, resolve));
  const address = server.address();
  const cut = () => {
    for (const socket of sockets) socket.destroy();
  };
  return {
    port: typeof address === 'object' && address ? address.port : 0,
    shut: () => {
      isOpen = false;
      cut();
    },
    open: () => {
      isOpen = true;
    },
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        cut();
      }),
  };
}
