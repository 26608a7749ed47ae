import type { RequestHandler } from 'express';
import type { LIVE_EVENTS } from '../../contracts/live.ts';
import { admitted, type Door } from '../access/guard.ts';
import { sendProblem } from '../http/problems.ts';
import type { Feed } from './feed.ts';

/** Keeps proxies from ending a stream on which nothing happens, and shows the page that it is alive, in milliseconds. */
const BEAT_MS = 15_000;
/** A stream ends after so long; the browser asks anew, so that who is signed out hears no more. In milliseconds. */
const LONGEST_MS = 300_000;

/** A stream of server-sent events with the changes of the clinic's cases. */
export function changesRoute(door: Door, feed: Feed): RequestHandler {
  return async (request, response) => {
    const admission = await door.connection.run((db) =>
      admitted(db, request, door.settings, 'cases.read'),
    );
    // Closed before anything was subscribed: no later `close` would end the subscription.
    if (response.destroyed || request.socket.destroyed) return;
    if (!admission.ok) {
      sendProblem(response, admission.error);
      return;
    }
    // Not to be transformed: packed, it would be held back until there is enough of it.
    response
      .status(200)
      .set({ 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' });
    const say = (event: (typeof LIVE_EVENTS)[number], data: unknown): void =>
      void response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    say('beat', null);
    const stops = [
      feed.hear(admission.value.clinicId, (change) => say(change ? 'case' : 'gap', change)),
      feed.whenClosed(() => response.end()),
    ];
    const beat = setInterval(() => say('beat', null), BEAT_MS);
    const end = setTimeout(() => response.end(), LONGEST_MS);
    response.once('close', () => {
      clearInterval(beat);
      clearTimeout(end);
      for (const stop of stops) stop();
    });
  };
}
