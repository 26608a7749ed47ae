import { causeId, plantId } from '../../test/setting.ts';
import { causeSchema } from '../schema/cause.ts';
import { buildHosting } from './hosting.ts';
import { plantSchema } from '../schema/plant.ts';
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

describe('hosting', () => {
  const factor = (hosts: Record<string, string>, id: string) =>
    buildHosting([cause(hosts)], taxonomy)(plantId(id)).get(causeId('c'));

  it('reaches a species from its genus, and the nearest host decides', () => {
    expect(factor({ maple: 'usual' }, 'silver-maple')).toBe(1);
    expect(factor({ maple: 'usual', 'silver-maple': 'very' }, 'silver-maple')).toBe(2);
    expect(factor({ tree: 'usual', 'silver-maple': 'immune' }, 'silver-maple')).toBeUndefined();
  });

  it('is nothing for a stranger', () => {
    expect(factor({ 'silver-maple': 'very' }, 'dwarf-maple')).toBeUndefined();
  });
});
