import type { EventName } from '../core/consult/season.ts';

const NAMES = {
  'leaf-out': 'leafs out',
  flowering: 'in flower',
  'leaf-fall': 'sheds its leaves',
  seen: 'seen',
} as const;

/** The name of something that has its dates in the season. */
export function eventName(name: EventName): string {
  return name.code === 'library' ? name.text : NAMES[name.code];
}
