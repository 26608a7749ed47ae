import type { Town, TownQuery } from '../../contracts/towns.ts';
import { makeGazetteer } from './gazetteer.ts';
import { readShippedTowns } from './shippedTowns.ts';

const gazetteer = makeGazetteer(readShippedTowns());

/** Finds towns in this thread. */
export default function findTowns(query: TownQuery): readonly Town[] {
  return gazetteer.find(query);
}
