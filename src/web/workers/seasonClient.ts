import type { Outlook, OutlookRequest } from '../../core/timing/outlook.ts';

/** Works a season out in a worker of its own, which ends with it; `cancel` ends it at once. */
export function workOutSeason(request: OutlookRequest): {
  readonly outlook: Promise<Outlook>;
  readonly cancel: () => void;
} {
  const worker = new Worker(new URL('./season.worker.ts', import.meta.url), { type: 'module' });
  const outlook = new Promise<Outlook>((resolve, reject) => {
    worker.onerror = () => {
      worker.terminate();
      reject(new Error('the season could not be worked out'));
    };
    worker.onmessage = ({ data }: MessageEvent<Outlook>) => {
      worker.terminate();
      resolve(data);
    };
  });
  worker.postMessage(request);
  return { outlook, cancel: () => worker.terminate() };
}
