import { outlookFor, type OutlookRequest } from '../../core/timing/outlook.ts';

self.onmessage = ({ data }: MessageEvent<OutlookRequest>): void => {
  self.postMessage(outlookFor(data));
};
