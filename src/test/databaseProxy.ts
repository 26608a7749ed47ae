import { connect, createServer, type AddressInfo, type Socket } from 'node:net';

/** A way to a database that can be cut and made silent, on loopback. */
export interface DatabaseProxy {
  /** Address of the database through the proxy. */
  readonly url: string;
  /** Breaks every connection and refuses new ones until `restore`. */
  readonly cut: () => void;
  /** Breaks every connection; new ones are taken and never answered until `restore`. */
  readonly silence: () => void;
  readonly restore: () => void;
  readonly close: () => Promise<void>;
}

/** Opens a proxy to the database at an address. */
export async function openDatabaseProxy(address: string): Promise<DatabaseProxy> {
  const { hostname, port } = new URL(address);
  const sockets = new Set<Socket>();
  let state: 'open' | 'cut' | 'silent' = 'open';
  const track = (socket: Socket): void => {
    sockets.add(socket);
    socket.on('error', () => socket.destroy());
    socket.on('close', () => sockets.delete(socket));
  };
  const server = createServer((socket) => {
    track(socket);
    if (state === 'cut') socket.destroy();
    if (state !== 'open') return;
    const target = connect({ host: hostname, port: Number(port) });
    track(target);
    socket.pipe(target).pipe(socket);
    socket.on('close', () => target.destroy());
    target.on('close', () => socket.destroy());
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const breakAll = (): void => {
    for (const socket of sockets) socket.destroy();
  };
  const url = new URL(address);
  url.hostname = '127.0.0.1';
  url.port = String((server.address() as AddressInfo).port);
  return {
    url: url.href,
    cut: () => {
      state = 'cut';
      breakAll();
    },
    silence: () => {
      state = 'silent';
      breakAll();
    },
    restore: () => {
      state = 'open';
      breakAll();
    },
    close: () => {
      breakAll();
      return new Promise((done) => server.close(() => done()));
    },
  };
}
