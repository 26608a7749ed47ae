import { heldOutScores, inputsHash, readManifest } from '../../src/cli/modelManifest.ts';
import { library } from '../support/wholeLibrary.ts';

const manifest = readManifest();

it('is learned from the labelled text as it stands; else run npm run learn', () => {
  expect(manifest.inputs).toBe(inputsHash());
});

it('understands what is held out no worse than its manifest says', () => {
  const { sentences, ...shares } = heldOutScores(library);
  expect(sentences).toBe(manifest.heldOut.sentences);
  for (const [name, share] of Object.entries(manifest.heldOut))
    if (name !== 'sentences') expect(Reflect.get(shares, name)).toBeGreaterThan(share - 0.01);
});
