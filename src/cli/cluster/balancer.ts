import {
  createServer,
  request,
  type IncomingMessage,
  type Server,
  type ServerResponse,
} from 'node:http';

/** What a balancer counts. */
export interface BalancerCounts {
  /** Requests that a server did not answer, by which the next one was asked. */
  passedOn: number;
  /** Requests that no server answered. */
  unanswered: number;
}

/** How long a server that did not answer is not asked, in milliseconds. */
const REST_MS = 300;

function readBody(from: IncomingMessage): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const pieces: Buffer[] = [];
    from.on('data', (piece: Buffer) => pieces.push(piece));
    from.on('end', () => resolve(Buffer.concat(pieces)));
    from.on('error', reject);
  });
}

/** Asks one server; false when it does not answer, as long as nothing of an answer has come. */
function askServer(
  port: number,
  asked: IncomingMessage,
  body: Buffer,
  answer: ServerResponse,
): Promise<boolean> {
  return new Promise((resolve) => {
    const { method, url, headers } = asked;
    const passed = request({ host: '127.0.0.1', port, method, path: url, headers }, (from) => {
      answer.writeHead(from.statusCode ?? 502, from.headers);
      from.pipe(answer);
      from.on('end', () => resolve(true));
      from.on('error', () => {
        answer.destroy();
        resolve(true);
      });
    });
    passed.on('error', () => resolve(false));
    passed.end(body);
  });
}

/** Spreads requests over servers in turn; what one does not answer the next one is asked. Our requests may be repeated. */
export function startBalancer(
  ports: readonly number[],
  counts: BalancerCounts,
): Promise<{ readonly port: number; readonly server: Server }> {
  const restsUntil = new Map<number, number>();
  let turn = 0;
  const pass = async (asked: IncomingMessage, answer: ServerResponse): Promise<void> => {
    const body = await readBody(asked);
    const first = turn++;
    const order = ports.map((_port, i) => ports[(first + i) % ports.length] ?? 0);
    const rested = (port: number): boolean => (restsUntil.get(port) ?? 0) <= Date.now();
    for (const port of [...order.filter(rested), ...order.filter((one) => !rested(one))]) {
      if (await askServer(port, asked, body, answer)) return;
      counts.passedOn++;
      restsUntil.set(port, Date.now() + REST_MS);
    }
    counts.unanswered++;
    answer.writeHead(503).end();
  };
  const server = createServer((asked, answer) => {
    pass(asked, answer).catch(() => answer.destroy());
  });
  return new Promise((resolve) => {
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      resolve({ port: typeof address === 'object' && address ? address.port : 0, server });
    });
  });
}
