import { parse } from 'yaml';
import { z } from 'zod';
import { CORPUS, corpusText } from '../../src/cli/corpus.ts';
import { saidSizes, type SaidSize } from '../../src/core/language/sizes.ts';

const value = z.number().nullable().optional();
const remarks = z.array(
  z.strictObject({
    text: z.string(),
    height: value,
    trunk: value,
    pot: value,
    potLitres: value,
    area: value,
    count: value,
    ph: value,
  }),
);
type Remark = z.infer<typeof remarks>[number];
const read = (file: string) => remarks.parse(parse(corpusText(file)));

function measured(size: SaidSize): [keyof Remark, number] {
  switch (size.kind) {
    case 'height':
    case 'trunk':
    case 'pot':
      return [size.kind, size.metres];
    case 'pot-volume':
      return ['potLitres', size.litres];
    case 'area':
      return ['area', size.squareMetres];
    case 'ph':
      return ['ph', size.value];
    case 'count':
      return ['count', size.number];
  }
}

it.each([...read(CORPUS.sizes), ...read(CORPUS.furtherSizes)])(
  'reads the sizes of "$text"',
  ({ text, ...wanted }) => {
    const found = new Map(saidSizes(text, true).map(measured));
    for (const [kind, size] of Object.entries(wanted) as [keyof Remark, number | null][]) {
      if (size === null) expect(found.has(kind)).toBe(false);
      else expect((found.get(kind) ?? NaN) / size).toBeCloseTo(1, 1);
    }
  },
);
