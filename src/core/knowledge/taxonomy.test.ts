import { plantId } from '../../../tests/support/setting.ts';
import { causeSchema } from './schema/cause.ts';
import { susceptibilityOf } from './compile.ts';
import { plantSchema } from './schema/plant.ts';
import { buildTaxonomy } from './taxonomy.ts';

const plant = (id: string, parents: string[], traits = {}) =>
  plantSchema.parse({ id, name: `Plant ${id}`, parents, traits, source: 'practice' });
const taxonomy = buildTaxonomy([
  plant('tree', [], { tall: true, woody: true }),
  plant('maple', ['tree']),
  plant('dwarf-maple', ['maple'], { tall: false }),
  plant('silver-maple', ['maple']),
]);
const cause = (hosts: Record<string, string>) =>
  causeSchema.parse({
    id: 'c',
    name: 'Cause',
    category: 'mite',
    hosts,
    common: 'common',
    findings: {},
    harm: {},
    say: 'A cause for tests.',
    source: 'practice',
  });

it('lists the lineage from near to far', () => {
  expect(taxonomy.lineage(plantId('dwarf-maple'))).toEqual(['dwarf-maple', 'maple', 'tree']);
  expect(taxonomy.below(plantId('maple'))).toEqual(['dwarf-maple', 'silver-maple']);
});

it('inherits traits, the nearest wins', () => {
  expect(taxonomy.traits(plantId('dwarf-maple'))).toEqual({ tall: false, woody: true });
});

describe('susceptibility', () => {
  it('reaches a species from its genus, and the nearest host decides', () => {
    expect(susceptibilityOf(cause({ maple: 'usual' }), plantId('silver-maple'), taxonomy)).toBe(1);
    expect(
      susceptibilityOf(
        cause({ maple: 'usual', 'silver-maple': 'very' }),
        plantId('silver-maple'),
        taxonomy,
      ),
    ).toBe(2);
    expect(
      susceptibilityOf(
        cause({ tree: 'usual', 'silver-maple': 'immune' }),
        plantId('silver-maple'),
        taxonomy,
      ),
    ).toBe(0);
  });
  it('is nothing for a stranger', () => {
    expect(
      susceptibilityOf(cause({ 'silver-maple': 'very' }), plantId('dwarf-maple'), taxonomy),
    ).toBe(0);
  });
});
