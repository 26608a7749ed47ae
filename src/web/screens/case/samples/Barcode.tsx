import JsBarcode from 'jsbarcode';
import { sampleTexts } from '../../../texts/sampleTexts.ts';

/** What the encoder writes into an object that it is given in place of a drawing. */
interface Encoded {
  encodings?: readonly { readonly data: string }[];
}

const HEIGHT = 34;
/** White on both sides, in widths of the thinnest bar (ISO/IEC 15417 asks for ten). */
const QUIET = 10;

/** Runs of ones in a row of ones and zeros, as start and length. */
function barsOf(row: string): readonly (readonly [number, number])[] {
  return [...row.matchAll(/1+/g)].map((bar) => [bar.index, bar[0].length]);
}

/** A text as bars of Code 128, drawn so that any printer has it sharp. */
export function Barcode({ text }: { readonly text: string }) {
  const encoded: Encoded = {};
  JsBarcode(encoded, text, { format: 'CODE128' });
  const row = (encoded.encodings ?? []).map(({ data }) => data).join('');
  return (
    <svg
      viewBox={`0 0 ${row.length + 2 * QUIET} ${HEIGHT}`}
      width={(row.length + 2 * QUIET) * 2}
      height={HEIGHT * 2}
      shapeRendering="crispEdges"
      role="img"
      aria-label={`${sampleTexts.labelTitle} ${text}`}
    >
      {barsOf(row).map(([start, length]) => (
        <rect key={start} x={QUIET + start} y={0} width={length} height={HEIGHT} fill="#000000" />
      ))}
    </svg>
  );
}
