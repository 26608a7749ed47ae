import { makeGazetteer } from '../../src/server/towns/gazetteer.ts';
import { readShippedTowns } from '../../src/server/towns/shippedTowns.ts';

/** Prints the first town for each of the words it is given, near the clinic of the demonstration, as JSON. */
const gazetteer = makeGazetteer(readShippedTowns());
const found = process.argv
  .slice(2)
  .map((words) => gazetteer.find({ words, lat: 44.6, lon: -67.9 })[0]);
console.log(JSON.stringify(found));
