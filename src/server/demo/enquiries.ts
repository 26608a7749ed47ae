import type { CaseStatus, StoredAnswer, StoredOutcome } from '../../contracts/cases.ts';
import type { Consent, FollowUp } from '../../contracts/followUps.ts';
import type { Sample } from '../../contracts/samples.ts';

/** One invented enquiry of the demonstration. */
export interface DemoEnquiry {
  readonly id: string;
  readonly channel: 'phone' | 'email' | 'walk-in' | 'text';
  readonly status: CaseStatus;
  readonly openedAt: string;
  readonly enquirer: { readonly name: string; readonly contact: string };
  readonly callBackOn: string | null;
  readonly words: string;
  readonly answers?: readonly Omit<StoredAnswer, 'id'>[];
  readonly consent?: Consent;
  readonly samples?: readonly Sample[];
  readonly outcome?: StoredOutcome;
  readonly followUp?: FollowUp;
  /** Who worked on it: the place in the list of the people of the demonstration; nobody where absent. */
  readonly by?: number;
}

const id = (n: number): string => `5e0a7d1c-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** An id that makes its own number on the label. */
const sampleId = (n: number): string =>
  `7a1e5c0d-0000-4000-8000-0000${(n * 26_417).toString(16).padStart(8, '0')}`;

/** Enquiries at the Larkspur Quay Plant Clinic on and before Saturday 13 June 2026. All people are invented. */
export const DEMO_ENQUIRIES: readonly DemoEnquiry[] = [
  {
    id: id(1),
    channel: 'phone',
    status: 'open',
    openedAt: '2026-06-13T13:05:00Z',
    enquirer: { name: 'Odile Farrant', contact: 'ring back after four' },
    callBackOn: null,
    words:
      'It is my box hedge by the front path. All the young leaves at the tips are cupped like little spoons, the old ones look fine. There was some white fluff in the tips a few weeks back. Do I have to spray?',
  },
  {
    id: id(2),
    channel: 'walk-in',
    status: 'open',
    openedAt: '2026-06-13T13:20:00Z',
    enquirer: { name: 'Bram Tolliver', contact: '' },
    callBackOn: null,
    by: 3,
    words:
      'My hostas have ragged holes right through the leaves, more every morning, and I never see what does it. It has been damp for a week. We have two dogs.',
  },
  {
    id: id(3),
    channel: 'phone',
    status: 'open',
    openedAt: '2026-06-13T13:32:00Z',
    enquirer: { name: 'Merle Ostrander', contact: '' },
    callBackOn: null,
    by: 1,
    consent: { callBack: true, photographs: null },
    samples: [
      {
        id: sampleId(3),
        kind: 'needled-twigs',
        suspects: ['cytospora-canker', 'spruce-rhizosphaera'],
        askedOn: '2026-06-13',
        sentOn: null,
        laboratory: '',
        dueOn: null,
        cost: null,
        result: null,
      },
    ],
    words:
      'Blue spruce, about twenty feet. The bottom branches are dying one by one and it is moving up.',
  },
  {
    id: id(4),
    channel: 'email',
    status: 'waiting',
    openedAt: '2026-06-12T18:40:00Z',
    enquirer: { name: 'Ines Calloway', contact: 'by letter' },
    callBackOn: '2026-06-13',
    words:
      'Our mophead hydrangea is leafy and healthy but has not bloomed for two years. My husband cuts it down to the ground each fall. It used to be covered in flowers.',
  },
  {
    id: id(5),
    channel: 'text',
    status: 'waiting',
    openedAt: '2026-06-12T15:10:00Z',
    enquirer: { name: 'Teddy Quill', contact: '' },
    callBackOn: '2026-06-15',
    words:
      'tomato leaves rolling up like cigars on the bottom of the plant, still green + thick. its been hot. is it a virus??',
  },
  {
    id: id(6),
    channel: 'phone',
    status: 'open',
    openedAt: '2026-06-13T13:41:00Z',
    enquirer: { name: 'Hester Vane', contact: '' },
    callBackOn: null,
    words:
      'The roses have holes in the leaves so only the veins are left, like lace, and I found little green worms underneath. It went fast, in three days.',
  },
  {
    id: id(7),
    channel: 'walk-in',
    status: 'open',
    openedAt: '2026-06-13T13:48:00Z',
    enquirer: { name: 'Anselm Prior', contact: '' },
    callBackOn: null,
    words:
      'I brought a maple leaf with little red bumps all over the top. The tree looks great otherwise. Do I need to cut it down?',
  },
  {
    id: id(8),
    channel: 'phone',
    status: 'closed',
    openedAt: '2026-06-10T14:00:00Z',
    enquirer: { name: 'Wilhelmina Oake', contact: '' },
    callBackOn: null,
    words:
      'My jade plant has gone mushy at the base and the leaves are falling off, yellow and see-through. I water it every week, it sits in a saucer and the soil is always wet.',
    answers: [{ finding: 'roots-brown-slimy', value: true, sure: 0.9 }],
  },
  {
    id: id(9),
    channel: 'email',
    status: 'open',
    openedAt: '2026-06-13T09:15:00Z',
    enquirer: { name: 'Corin Ashdown', contact: 'by letter' },
    callBackOn: null,
    words:
      'The apple trees have olive brown velvety spots on the leaves after all the rain in May and some of the leaves are falling already. What should I spray now?',
  },
  {
    id: id(10),
    channel: 'phone',
    status: 'waiting',
    openedAt: '2026-06-11T16:25:00Z',
    enquirer: { name: 'Fenna Marsh', contact: 'at the harbour office' },
    callBackOn: '2026-06-12',
    words:
      'There are raised tunnels all over the lawn and my feet sink in when I walk. The grass on top is still green.',
  },
  {
    id: id(11),
    channel: 'phone',
    status: 'open',
    openedAt: '2026-06-13T13:52:00Z',
    enquirer: { name: 'Jory Pell', contact: '' },
    callBackOn: null,
    words:
      'The weeping fig in the hall drops leaves every day since we moved it away from the window. Nothing sticky, no bugs that I can see.',
  },
  {
    id: id(12),
    channel: 'text',
    status: 'closed',
    openedAt: '2026-06-09T11:30:00Z',
    enquirer: { name: 'Sabine Torrey', contact: '' },
    callBackOn: null,
    words:
      'squash leaves have silver white marks along the veins, same on every leaf, doesnt rub off. plant looks great',
  },
  {
    id: id(13),
    channel: 'email',
    status: 'waiting',
    openedAt: '2026-05-28T10:20:00Z',
    enquirer: { name: 'Katya Lorne', contact: 'by letter' },
    callBackOn: null,
    by: 2,
    consent: { callBack: true, photographs: true },
    words:
      'The young twigs of our mountain ash wilt and turn black, bent over like a hook, and the leaves hang on. It began in the blossom.',
    samples: [
      {
        id: sampleId(13),
        kind: 'stem-with-margin',
        suspects: ['fireblight-ornamental'],
        askedOn: '2026-05-28',
        sentOn: '2026-05-29',
        laboratory: 'Plant laboratory of Tern County',
        dueOn: '2026-06-12',
        cost: 20,
        result: null,
      },
    ],
  },
];
