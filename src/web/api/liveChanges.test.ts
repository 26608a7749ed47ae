/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import type { CaseChanged } from '../../contracts/live.ts';
import { LiveChanges } from './liveChanges.ts';

const CHANGE: CaseChanged = { id: '5e0a7d1c-0000-4000-8000-000000000001', version: 3 };

/** A stream whose events the test gives. */
class GivenSource extends EventTarget {
  static readonly CLOSED = 2;
  static all: GivenSource[] = [];
  readyState = 1;
  constructor() {
    super();
    GivenSource.all.push(this);
  }
  say(event: string, data: unknown = null): void {
    this.dispatchEvent(new MessageEvent(event, { data: JSON.stringify(data) }));
  }
}

/** A channel that reaches all others of its name at once. */
class GivenChannel extends EventTarget {
  static all: GivenChannel[] = [];
  constructor(private readonly name: string) {
    super();
    GivenChannel.all.push(this);
  }
  postMessage(data: unknown): void {
    for (const other of GivenChannel.all)
      if (other !== this && other.name === this.name)
        other.dispatchEvent(new MessageEvent('message', { data }));
  }
}

/** Gives a lock to the first who asks, and to nobody after. */
function locksForOne() {
  const taken = new Set<string>();
  return {
    request: (name: string, work: () => Promise<unknown>): Promise<unknown> => {
      if (taken.has(name)) return new Promise(() => undefined);
      taken.add(name);
      return work();
    },
  };
}

beforeEach(() => {
  jest.useFakeTimers();
  GivenSource.all = [];
  GivenChannel.all = [];
  Object.assign(globalThis, { EventSource: GivenSource, BroadcastChannel: GivenChannel });
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(navigator, 'locks');
});

function subscribed(live: LiveChanges): (CaseChanged | null)[] {
  const received: (CaseChanged | null)[] = [];
  live.subscribe((change) => received.push(change));
  return received;
}
const source = (): GivenSource => {
  const [first] = GivenSource.all;
  if (!first) throw new Error('no stream was asked for');
  return first;
};

it('passes on changes, and null when some may have been missed', () => {
  const received = subscribed(new LiveChanges('ann'));
  source().say('open');
  source().say('case', CHANGE);
  source().say('case', { id: 'nonsense' });
  source().say('heartbeat');
  source().say('gap');
  expect(received).toEqual([null, CHANGE, null]);
});

it('holds one stream for all pages of a person, and none for those of another', () => {
  Object.defineProperty(navigator, 'locks', { value: locksForOne(), configurable: true });
  const [first, second] = [new LiveChanges('ann'), new LiveChanges('ann')].map(subscribed);
  expect(GivenSource.all).toHaveLength(1);
  const other = subscribed(new LiveChanges('ben'));
  expect(GivenSource.all).toHaveLength(2);
  source().say('case', CHANGE);
  expect(first).toEqual([CHANGE]);
  expect(second).toEqual([CHANGE]);
  expect(other).toEqual([]);
});

it('asks again for a stream that the server refused, not for one that the browser asks for', () => {
  subscribed(new LiveChanges('ann'));
  source().dispatchEvent(new Event('error'));
  jest.advanceTimersByTime(10_000);
  expect(GivenSource.all).toHaveLength(1);
  source().readyState = GivenSource.CLOSED;
  source().dispatchEvent(new Event('error'));
  jest.advanceTimersByTime(4999);
  expect(GivenSource.all).toHaveLength(1);
  jest.advanceTimersByTime(1);
  expect(GivenSource.all).toHaveLength(2);
});

it('knows when the stream is lost', () => {
  const live = new LiveChanges('ann');
  expect(live.isConnected).toBe(false);
  source().say('heartbeat');
  expect(live.isConnected).toBe(true);
  jest.advanceTimersByTime(39_999);
  expect(live.isConnected).toBe(true);
  jest.advanceTimersByTime(1);
  expect(live.isConnected).toBe(false);
});
