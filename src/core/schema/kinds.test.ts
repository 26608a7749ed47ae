import { plantId } from '../../test/setting.ts';
import { suits } from './kinds.ts';

const kinds = (...ids: string[]) => ids.map(plantId);

it.each([
  [{}, ['fern'], true],
  [{ only: kinds('fern', 'moss') }, ['lady-fern', 'fern'], true],
  [{ only: kinds('moss') }, ['lady-fern', 'fern'], false],
  [{ except: kinds('fern') }, ['lady-fern', 'fern'], false],
  [{ except: kinds('moss') }, ['lady-fern', 'fern'], true],
  [{ only: kinds('fern'), except: kinds('lady-fern') }, ['lady-fern', 'fern'], false],
  // A plant that is not known gets what all plants get.
  [{ only: kinds('fern') }, [], false],
  [{ except: kinds('fern') }, [], true],
])('%j for %j: %s', (limits, plant, expected) => {
  expect(suits(limits, kinds(...plant))).toBe(expected);
});
