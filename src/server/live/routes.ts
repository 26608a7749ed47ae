import type { RequestHandler } from 'express';
import type { LIVE_EVENTS } from '../../contracts/live.ts';
import { admitted, type Door } from '../access/guard.ts';
import { sendProblem } from '../http/problems.ts';
import type { Feed } from './feed.ts';

/** Heartbeats keep proxies from closing an idle stream and show the page that it is connected, in milliseconds. */
const HEARTBEAT_MS = 15_000;
/** A stream ends after so long; the browser asks anew, so that a session that has ended gets no more events. In milliseconds. */
const MAX_STREAM_MS = 300_000;

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
    const send = (event: (typeof LIVE_EVENTS)[number], data: unknown): void =>
      void response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    send('heartbeat', null);
    const stops = [
      feed.subscribe(admission.value.clinicId, (change) => send(change ? 'case' : 'gap', change)),
      feed.onClose(() => response.end()),
    ];
    const heartbeat = setInterval(() => send('heartbeat', null), HEARTBEAT_MS);
    const end = setTimeout(() => response.end(), MAX_STREAM_MS);
    response.once('close', () => {
      clearInterval(heartbeat);
      clearTimeout(end);
      for (const stop of stops) stop();
    });
  };
}
