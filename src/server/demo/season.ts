import type { DemoEnquiry } from './enquiries.ts';
import type { ClosedEnquiry } from './closedEnquiry.ts';
import { CLOSED_IN_EARLY_SUMMER } from './seasonEarlySummer.ts';
import { CLOSED_IN_SPRING } from './seasonSpring.ts';

/** The closed enquiries from March to June, in their order. */
export const CLOSED_SEASON: readonly ClosedEnquiry[] = [
  ...CLOSED_IN_SPRING,
  ...CLOSED_IN_EARLY_SUMMER,
];

const FIRST_ID = 100;
const id = (n: number): string => `5e0a7d1c-0000-4000-8000-${String(n).padStart(12, '0')}`;
/** Hours at which calls came, in turn. */
const HOURS = ['09:10', '10:25', '11:40', '13:15', '14:30', '16:05'] as const;

/** The closed enquiries as the seed takes them. */
export const SEASON_ENQUIRIES: readonly DemoEnquiry[] = CLOSED_SEASON.map(
  ({ on, channel, name, words, proved, went, by }, i) => ({
    id: id(FIRST_ID + i),
    channel,
    status: 'closed',
    openedAt: `2026-${on}T${HOURS[i % HOURS.length] ?? ''}:00Z`,
    enquirer: { name, contact: '' },
    callBackOn: null,
    words,
    by,
    ...(proved && { outcome: { cause: proved[0], confirmed: proved[1], on: proved[2] } }),
    ...(went && {
      followUp: {
        on: proved?.[2] ?? `2026-${on}`,
        followed: went[0],
        result: went[1],
        note: went[2],
      },
    }),
  }),
);
