import type { z } from 'zod';
import { type FieldFault, fieldFaultOf } from '../core/schema/fieldFault.ts';
import type { KnowledgeIssue, LibraryFault, QualityFault } from '../core/knowledge/faults.ts';

const percent = (share: number): number => Math.round(100 * share);

/** What is wrong in an entry of the library, with the cure, for its editor. */
export function faultText(fault: LibraryFault): string {
  switch (fault.code) {
    case 'as-read':
      return fault.message;
    case 'word-model':
      return `${fault.message}; run npm run learn to write the file anew`;
    case 'no-list':
      return 'the file must hold a list of entries';
    case 'id-twice':
      return 'stands twice; give one of them another id';
    case 'relied-on':
      return 'the code relies on this id: keep it, or change src/core/schema/reliedOn.ts with it';
    case 'unknown-id':
      return `"${fault.id}" is not among the ${fault.section}`;
    case 'unknown-source':
      return `"${fault.source}" is neither practice nor judgement nor in sources/`;
    case 'cited-too-early':
      return `"${fault.source}" is older than ${fault.since}, when this was first found: cite a later work, or practice or judgement`;
    case 'unwritten':
      return 'nobody has written it yet';
    case 'treatment-twice':
      return `"${fault.treatment}" stands twice; say with only or except of which plants`;
    case 'no-class':
      return 'is a conventional product; say of which class, so that the rules of safety read it';
    case 'not-stated':
      return `is a product that kills; say ${fault.fields.join(', ')} too, with "amount: none" where the label alone says it`;
    case 'conventional-organic':
      return 'is a conventional product; say organic: false';
    case 'no-host':
      return 'name at least one host';
    case 'too-few-findings':
      return `name at least ${fault.least} findings`;
    case 'no-treatment':
      return 'name a treatment, or say under "leave" why none is needed';
    case 'not-of-group':
      return `"${fault.finding}" is not a finding of this group`;
    case 'group-lacks':
      return `lacks "${fault.finding}", which is of this group`;
    case 'in-two-looks':
      return `"${fault.finding}" stands in another look too; keep it in one`;
    case 'unused-finding':
      return 'no cause uses this finding; remove it or use it';
    case 'one-system':
      return `"${fault.text.slice(0, 60)}" names an amount in one system of units; write "5 cm (2 in)"`;
    case 'rate':
      return 'holds an application rate; the rate comes from the label';
    case 'learned-unknown':
      return 'was learned but is not among the findings; run npm run learn';
    case 'no-window':
    case 'not-a-word-of':
    case 'plate-word':
    case 'months-crossed':
    case 'id-form':
    case 'country-form':
    case 'state-form':
    case 'region-form':
    case 'no-pattern':
    case 'closed-season':
    case 'no-amount':
      return fieldText(fault);
    default:
      return qualityText(fault);
  }
}

/** What is wrong with a text that has a form of its own. */
function fieldText(fault: FieldFault): string {
  switch (fault.code) {
    case 'no-window':
      return `"${fault.text}" is no window: write any, ${fault.seasons.join(', ')}, 05-20..06-10, 05-20..06-10 @place, dd10 200..350 or bloom-end..bloom-end+28`;
    case 'not-a-word-of':
      return `one of: ${fault.words.join(', ')}`;
    case 'plate-word':
      return `"${fault.word}" cannot stand here; use one of: ${fault.expected.join(', ')}`;
    case 'months-crossed':
      return 'each monthly minimum is below the maximum of the same month';
    case 'id-form':
      return 'an id is lower-case words joined by hyphens, for example "early-blight"';
    case 'country-form':
      return 'a country is two small letters, for example "us"';
    case 'state-form':
      return 'a state is its short code in small letters, without the country, for example "me"';
    case 'region-form':
      return 'a region is a country in two small letters, or that with its state, for example "us" or "us-me"';
    case 'no-pattern':
      return 'is no regular expression';
    case 'closed-season':
      return 'a closed season needs its days, and only that; write closed: {from: 03-01, to: 08-31}';
    case 'no-amount':
      return `"${fault.text}" names no amount: write "every 7..10 days, 3 times", "5..8 cm deep" or "none"; units are ${fault.units.join(', ')}`;
  }
}

/** What keeps a sound entry from being good enough. */
function qualityText(fault: QualityFault): string {
  switch (fault.code) {
    case 'shows-too-little':
      return `shows ${fault.shown} findings; name at least ${fault.least}`;
    case 'no-look-alike':
      return 'name the cause it is most often taken for and how they differ';
    case 'not-separated':
      return `no finding separates it from ${fault.other}`;
    case 'season-without-window':
      return `"${fault.treatment}" names a season in its words; give it a window`;
    case 'no-harm':
      return 'say what harm it does, or under "leave" why it may be left';
    case 'no-outlook':
      return 'say under "expect" what will come of it, and by when';
    case 'no-look-again':
      return 'say under "lookAgainDays" after how many days to look again';
    case 'no-timing':
      return 'give "seen", a stage or a treatment window, or write "timing: none"';
    case 'too-few-causes':
      return `only ${fault.causes} causes reach it; at least ${fault.least} must`;
    case 'no-normal-look':
      return 'no normal look reaches it; add one or write "normalLooks: none"';
    case 'too-alike':
      return `is ${percent(fault.alike)} % alike to ${fault.other} on ${fault.plant}; at most ${percent(fault.most)} % may be`;
    case 'no-count':
      return 'does not say how often; write an interval, a number of times, or "once"';
    case 'brand':
      return 'names a brand; name the active ingredient or the practice';
    case 'too-few-phrases':
      return `${fault.causes} causes show it, so give at least ${fault.least} ways to say it; it has ${fault.phrases}`;
    case 'no-plate':
      return 'say how it looks, for example "leaf, yellow, veins green", or "none"';
    case 'no-way-to-look':
      return 'say in one sentence how to look';
  }
}

/** One issue as a line: file, id, field, what is wrong. */
export function issueLine({ file, id, field, fault }: KnowledgeIssue): string {
  return `${file}: ${id}: ${field}: ${faultText(fault)}`;
}

/** What is wrong with a field, in our words where the schema has a form of its own. */
export function fieldIssueText(issue: z.core.$ZodIssue): string {
  const fault = fieldFaultOf(issue);
  return fault ? fieldText(fault) : issue.message;
}
