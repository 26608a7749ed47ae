import fc from 'fast-check';
import { newId } from '../../contracts/ids.ts';

/** A request as it goes over the wire. */
export interface RawRequest {
  readonly method: string;
  /** Path and query, already in the form that is sent. */
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Buffer | null;
  /** It follows the contract, so it must be answered in time. */
  readonly legal: boolean;
}

const PLACE = { lat: 44.6, lon: -67.9 };
const JSON_TYPE = { 'content-type': 'application/json' };

const wordsEdited = (words: string) => ({
  id: newId(),
  author: 'stress',
  device: 'stress',
  event: {
    kind: 'words-edited',
    plantId: 'plant-1',
    edits: [{ at: 0, remove: '', insert: words }],
  },
  conflicts: [],
});

/** A legal body for each route that takes one. */
const BODIES: Readonly<Record<string, () => unknown>> = {
  '/api/cases': () => ({ id: newId(), channel: 'phone' }),
  '/api/cases/ID/events': () => ({ baseVersion: 0, events: [wordsEdited('rust ')] }),
  '/api/consult': () => ({
    words: 'orange powder under the leaves of my mint',
    date: '2026-06-13',
    place: PLACE,
    answers: [{ finding: 'leaf-drop', value: false, sure: 0.8 }],
  }),
  '/api/clinic/learning': () => ({ learning: true }),
  '/api/clinic/settings': () => ({ retentionDays: 400 }),
  '/api/clinic/labels': () => ({ id: newId(), name: 'Soap', text: 'Soap. CAUTION. For aphids.' }),
  '/api/clinic/labels/remove': () => ({ id: newId() }),
  '/api/session': () => ({ email: 'nobody@clinic.example', password: 'a wrong one' }),
  '/api/links/read': () => ({ token: 'a token that was never made' }),
  '/api/people': () => ({
    id: newId(),
    name: 'Somebody',
    email: `${newId()}@clinic.example`,
    role: 'trainee',
  }),
  '/api/people/change': () => ({ id: newId(), name: 'Nobody' }),
  '/api/people/link': () => ({ id: newId() }),
  '/api/weather': () => ({ csv: 'date,min_c,max_c,rain_mm\n2026-06-01,8,18,0\n' }),
};
const READS = [
  '/api/cases',
  '/api/cases?status=closed',
  '/api/cases/due',
  '/api/cases/ID',
  '/api/cases/ID/events?after=0',
  '/api/clinic',
  '/api/clinic/experience',
  '/api/clinic/labels',
  '/api/clinic/phrases',
  '/api/casebook?words=rust&outcome=known&from=2026-01-01',
  '/api/casebook/people',
  '/api/people',
  '/api/audit',
  '/api/session',
  '/api/weather',
  '/api/live',
  '/api/openapi.json',
] as const;

const hostileText = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 40 }),
  fc.constantFrom(
    '\0',
    'a\0b',
    '\ud83d',
    '\ude00 leaf',
    '\n'.repeat(19_000),
    '"'.repeat(19_000),
    'x'.repeat(21_000),
    '2026-13-45',
    '20266-01-01',
    '0002-06-13',
    '../../etc',
    "'; drop table cases; --",
    '__proto__',
    'constructor',
    '\u202e\ufeff\u0000',
  ),
);
const hostileValue: fc.Arbitrary<unknown> = fc.oneof(
  hostileText,
  fc.constantFrom(null, true, -1, 0, 1e-50, -1e-320, 5e-324, 1e308, 2 ** 53, 2 ** 31, 0.1, [], {}),
  fc.double(),
  fc.constant(nested(40)),
  fc.array(hostileText, { maxLength: 5 }),
  fc.dictionary(hostileText, hostileText, { maxKeys: 3 }),
);

function nested(depth: number): unknown {
  return depth === 0 ? 1 : [nested(depth - 1)];
}

type Spot = readonly (string | number)[];

/** Every place in a value, the value itself first. */
function spotsOf(value: unknown, path: Spot = []): readonly Spot[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [path, ...Object.entries(value).flatMap(([key, one]) => spotsOf(one, [...path, key]))];
}

/** The value with something else at a place. */
function replaced(value: unknown, [key, ...rest]: Spot, by: unknown): unknown {
  if (key === undefined) return by;
  if (Array.isArray(value))
    return value.map((one: unknown, i) =>
      String(i) === String(key) ? replaced(one, rest, by) : one,
    );
  const entries = Object.entries(value ?? {});
  return Object.fromEntries(
    entries.map(([name, one]) => [name, name === key ? replaced(one, rest, by) : (one as unknown)]),
  );
}

const toBuffer = (value: unknown): Buffer => Buffer.from(JSON.stringify(value));

/** A legal body with one to three places spoiled. */
function spoiledBody(make: () => unknown): fc.Arbitrary<Buffer> {
  const spoil = fc.tuple(fc.nat(1000), hostileValue);
  return fc.array(spoil, { minLength: 1, maxLength: 3 }).map((spoils) =>
    toBuffer(
      spoils.reduce<unknown>((body, [at, by]) => {
        const spots = spotsOf(body);
        return replaced(body, spots[at % spots.length] ?? [], by);
      }, make()),
    ),
  );
}

/** Bytes that are no body at all. */
const rawBody = fc.oneof(
  fc.uint8Array({ maxLength: 60 }).map((bytes) => Buffer.from(bytes)),
  fc
    .constantFrom('', '{', '[]', 'null', '"x"', '{"a":1}}', '['.repeat(5000), '{"a":"\\ud800"}')
    .map((text) => Buffer.from(text)),
  fc.constant(Buffer.from([0x7b, 0x22, 0xff, 0xfe, 0x22, 0x3a, 0x31, 0x7d])),
);

const oddHeaders = fc.constantFrom<Record<string, string>>(
  JSON_TYPE,
  JSON_TYPE,
  JSON_TYPE,
  { 'content-type': 'application/json; charset=koi8-r' },
  { 'content-type': 'text/plain' },
  { 'content-type': 'application/json', 'content-encoding': 'gzip' },
  { 'content-type': 'application/json', 'content-encoding': 'nonsense' },
  {},
);

const oddPath = fc.oneof(
  fc.constantFrom(
    '/%ff',
    '/%',
    '/api/%00',
    '/api/cases/%E0%A4%A',
    '/api/cases/%ff/events',
    '/api/cases?after=%ff',
    '/api/cases?after=2026-06-13T00:00:00.000Z,nonsense',
    '/api/cases?after=9999-99-99,5e0a7d1c-0000-4000-8000-000000000001',
    '/api/cases?after[]=1&status[a]=b',
    '/api/cases/due?after=2026-02-30,5e0a7d1c-0000-4000-8000-000000000001',
    '/api/cases/ID/events?after=-1',
    '/api/cases/ID/events?after=1e99',
    '/api/cases/ID/events?after=9007199254740993',
    '/assets/%2e%2e%2f%2e%2e%2fpackage.json',
    '/assets/missing.js',
    '//',
    '/api',
    `/${'a'.repeat(4000)}`,
  ),
  fc.webPath().map((path) => `/api${path}`),
  fc.string({ maxLength: 30 }).map((text) => `/api/cases/${encodeURIComponent(toWhole(text))}`),
);

/** Halves of surrogate pairs cannot be written in an address. */
const toWhole = (text: string): string => text.replace(/[\ud800-\udfff]/g, '');

const methods = fc.constantFrom('GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD');

const spoiledPost = fc.constantFrom(...Object.entries(BODIES)).chain(([path, make]) =>
  fc.record({
    method: fc.constant('POST'),
    path: fc.constant(path),
    headers: oddHeaders,
    body: fc.oneof({ weight: 4, arbitrary: spoiledBody(make) }, { weight: 1, arbitrary: rawBody }),
    legal: fc.constant(false),
  }),
);
const oddRequest = fc.record({
  method: methods,
  path: fc.oneof(oddPath, fc.constantFrom(...READS)),
  headers: oddHeaders,
  body: fc.option(rawBody, { nil: null }),
  legal: fc.constant(false),
});
const legalRequest: fc.Arbitrary<RawRequest> = fc.oneof(
  fc
    .constantFrom(...READS)
    .map((path) => ({ method: 'GET', path, headers: {}, body: null, legal: true })),
  fc.constantFrom('/api/cases', '/api/cases/ID/events', '/api/consult').map((path) => ({
    method: 'POST',
    path,
    headers: JSON_TYPE,
    body: toBuffer(BODIES[path]?.()),
    legal: true,
  })),
);

/** Requests of which most are wrong in some way; `ID` in a path stands for a case. */
export const hostileRequest: fc.Arbitrary<RawRequest> = fc.oneof(
  { weight: 6, arbitrary: spoiledPost },
  { weight: 3, arbitrary: oddRequest },
  { weight: 1, arbitrary: legalRequest },
);

/** So many requests, the same for the same seed. */
export function hostileRequests(count: number, seed: number): readonly RawRequest[] {
  return fc.sample(hostileRequest, { numRuns: count, seed });
}
