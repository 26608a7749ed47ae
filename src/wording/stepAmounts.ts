import type { Assumed, ForSize, Worked } from '../core/advice/forSize.ts';
import type { Amount } from '../core/schema/amount.ts';
import { areaText } from './amounts.ts';
import { amountInWords, looseText, quantityText } from './quantities.ts';

/** What an amount comes to for the enquirer's own size; the amount of the library beside it, or with the total in its place. */
function ownText(amount: Amount, own: ForSize): string {
  const said = amountInWords(amount);
  const quantity = quantityText(own.quantity);
  switch (own.code) {
    case 'total': {
      const parts = amount.parts.map((one, i) => (i === own.part ? own.quantity : one));
      const rate = amountInWords({ parts: amount.parts.slice(own.part, own.part + 1) });
      return `for ${areaText(own.area)}: ${amountInWords({ parts })} (${rate})`;
    }
    case 'water':
      return `${said}; for ${areaText(own.area)} that is ${quantity}`;
    case 'loose':
      return `${said}; for ${areaText(own.area)} that is ${looseText(own.quantity)}`;
    case 'by-test': {
      const goes = own.goes > 1 ? `, in ${own.goes} goes half a year apart` : '';
      const all =
        own.total && own.area !== null
          ? `; for ${areaText(own.area)} that is ${quantityText(own.total)}`
          : '';
      return `${quantity}${all}${goes}`;
    }
    case 'each-time':
      return `${quantity} each time, every ${quantityText(own.every)}`;
    case 'pot':
      return `a pot of ${quantity}; ${said}`;
    case 'every':
      return `every ${quantity}`;
  }
}

/** How much, how often, how deep, for how long, for the enquirer's own size where it was said. */
export function stepAmountText(amount: Amount | null, { forSize }: Worked): string {
  const said = amount ?? { parts: [] };
  const text = forSize === null ? amountInWords(said) : ownText(said, forSize);
  return text.replace(/; $/, '');
}

const ASSUMED: Readonly<Record<Assumed, string>> = {
  'trunk-an-inch': 'a trunk 2.5 cm (1 in) thick; with its own size the amount follows',
  'area-not-said': 'each square meter; with the area it gives the total',
  loam: 'loam; sand takes half, clay half as much again, and the laboratory’s own figure goes first',
  'ph-not-said': 'the pH of a soil test was not said; with it the amount follows',
  'no-need': 'by the test there is no need of it',
  'pot-not-said': 'the size of the pot was not said; with it the amount follows',
};

/** What an amount takes as given. */
export function assumedText(assumed: Assumed): string {
  return ASSUMED[assumed];
}
