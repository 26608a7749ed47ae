import type { ClinicContact } from '../contracts/contacts.ts';
import { callInLines, contactsOf } from './contacts.ts';

const contact = (trade: ClinicContact['trade'], name: string, area = ''): ClinicContact => ({
  id: '00000000-0000-4000-8000-000000000000',
  trade,
  name,
  reach: '555-0136',
  area,
});
const OURS = [
  contact('arborist', 'Rowan Head', 'the west shore'),
  contact('arborist', 'Isolde Marchbank'),
  contact('plant-health', 'Plant health desk'),
];

it('names the people of the clinic with the trade, and the trade alone where there is nobody', () => {
  const advice = {
    refer: ['a certified arborist', 'a licensed applicator'],
    referTo: ['arborist', 'licensed-applicator'],
  };
  expect(callInLines(advice, OURS)).toEqual([
    'a certified arborist: Rowan Head, 555-0136, the west shore; Isolde Marchbank, 555-0136',
    'a licensed applicator',
  ]);
});

it('knows the office of the advice by the name it has in danger', () => {
  expect(contactsOf(OURS, 'plant-health-office').map(({ name }) => name)).toEqual([
    'Plant health desk',
  ]);
});

it('says what an earlier answer says', () => {
  expect(callInLines({ refer: ['a certified arborist'], referTo: [] }, OURS)).toEqual([
    'a certified arborist',
  ]);
});
