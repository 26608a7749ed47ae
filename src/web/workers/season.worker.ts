import { outlookFor, type Outlook, type OutlookRequest } from '../../core/timing/outlook.ts';

/** A request with its number, and the answer under the same number. */
export interface SeasonAsk {
  readonly id: number;
  readonly request: OutlookRequest;
}
export interface SeasonAnswer {
  readonly id: number;
  readonly outlook: Outlook;
}

self.onmessage = ({ data: { id, request } }: MessageEvent<SeasonAsk>): void => {
  const answer: SeasonAnswer = { id, outlook: outlookFor(request) };
  self.postMessage(answer);
};
