import type { ClinicContact } from '../contracts/contacts.ts';

/** The clinic's own people of a trade. */
export function contactsOf(
  contacts: readonly ClinicContact[],
  trade: string,
): readonly ClinicContact[] {
  return contacts.filter((one) => one.trade === referredTrade(trade));
}

/** An advice and a danger name one office in two ways. */
const referredTrade = (trade: string): string =>
  trade === 'plant-health-office' ? 'plant-health' : trade;

/** A contact in one line: name, number, and where they work. */
export function contactLine({ name, reach, area }: ClinicContact): string {
  return [name, reach, area].filter((part) => part !== '').join(', ');
}

/** Whom to call in, each with the clinic's own people where it names some. */
export function callInLines(
  { refer, referTo }: { readonly refer: readonly string[]; readonly referTo: readonly string[] },
  contacts: readonly ClinicContact[],
): readonly string[] {
  return refer.map((trade, i) => {
    const ours = contactsOf(contacts, referTo[i] ?? '').map(contactLine);
    return ours.length === 0 ? trade : `${trade}: ${ours.join('; ')}`;
  });
}
