import type { RequestHandler } from 'express';
import { sendProblem } from './problems.ts';

/** Refuses requests beyond `max` at once, so that those that are taken are answered in time. */
export function shedLoad(max: number): RequestHandler {
  let open = 0;
  return (_request, response, next) => {
    if (open >= max) {
      sendProblem(response, {
        code: 'overloaded',
        field: null,
        message: 'The server is answering as many requests as it can.',
        cure: 'Ask again in a second; what was typed is kept on the device.',
      });
      return;
    }
    open++;
    response.once('close', () => open--);
    next();
  };
}
