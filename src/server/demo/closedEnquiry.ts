import type { Confirmation } from '../../core/diagnosis/learning.ts';
import type { FollowUp } from '../../contracts/followUps.ts';
import type { DemoEnquiry } from './enquiries.ts';

/** A closed enquiry of the season before the pinned day. */
export interface ClosedEnquiry {
  /** Day of the enquiry, in 2026. */
  readonly on: string;
  readonly channel: DemoEnquiry['channel'];
  readonly name: string;
  readonly words: string;
  /** What it proved to be, how that is known, and on which day. */
  readonly proved?: readonly [cause: string, confirmed: Confirmation, on: string];
  readonly went?: readonly [
    followed: FollowUp['followed'],
    result: FollowUp['result'],
    note: string,
  ];
  /** Who closed it: the place in the list of the people of the demonstration. */
  readonly by: 0 | 1 | 2;
}
