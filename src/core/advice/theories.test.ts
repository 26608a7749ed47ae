import { causeWith } from '../../test/candidate.ts';
import { theoryIn } from './theories.ts';

describe('a theory', () => {
  const ranked = [
    {
      cause: causeWith({ id: 'rot', name: 'Root rot', aliases: ['wilting disease'] }),
      probability: 0.3,
    },
    { cause: causeWith({ id: 'mite', name: 'Spider mites' }), probability: 0.1 },
  ];
  it('is weighed by the likeliest cause of its name', () => {
    expect(theoryIn(ranked, 'could it be mites')).toEqual({
      code: 'theory',
      said: 'mites',
      cause: 'Spider mites',
      probability: 0.1,
      leads: false,
      rather: null,
    });
    expect(theoryIn(ranked, 'is it a wilting disease')).toMatchObject({
      cause: 'Root rot',
      leads: true,
    });
  });
  it('says what is likelier, where something is likely enough', () => {
    const surer = ranked.map((one, i) => (i === 0 ? { ...one, probability: 0.8 } : one));
    expect(theoryIn(surer, 'it is the mites')).toMatchObject({
      said: 'mites',
      rather: 'Root rot',
    });
  });
  it('may name a whole kind of trouble', () => {
    const virus = { cause: causeWith({ name: 'Mosaic', category: 'virus' }), probability: 0.05 };
    const all = [...ranked, virus, virus];
    expect(theoryIn(all, 'is that a virus')).toMatchObject({
      said: 'a virus',
      probability: 0.1,
      leads: false,
    });
    expect(theoryIn(all, 'some kind of bugs')).toMatchObject({
      leads: true,
    });
  });
  it('has no answer where no cause has its name', () => {
    expect(theoryIn(ranked, 'was it the neighbor')).toBeNull();
  });
});
