import { libraryTexts } from '../../texts/libraryTexts.ts';
import { useOutletContext } from 'react-router';
import type { Library } from '../../../core/schema/library.ts';
import { Facts, Quiet, Sheet } from './parts.tsx';
import type { LibraryReading } from '../../library/useLibrary.ts';
import { sourceInWords } from './words.ts';

/** How many entries rest on each source. */
function countsBySource(library: Library): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  const sections = [library.plants, library.findings, library.causes, library.careTopics];
  for (const { source } of [...sections, library.treatments, library.places].flat())
    counts.set(source, (counts.get(source) ?? 0) + 1);
  return counts;
}

/** The front page of the Library: what it holds, and on what it rests. */
export function Sources() {
  const { shelf } = useOutletContext<LibraryReading>();
  const { library } = shelf;
  const counts = [...countsBySource(library)].sort((a, b) => b[1] - a[1]);
  return (
    <Sheet>
      <h1>{libraryTexts.whatTheLibraryHolds}</h1>
      <p>
        {library.plants.length} {libraryTexts.plantsCounted} {library.causes.length}{' '}
        {libraryTexts.causesCounted} {library.findings.length} {libraryTexts.findingsCounted}{' '}
        {library.treatments.length} {libraryTexts.treatmentsCounted} {library.careTopics.length}{' '}
        {libraryTexts.careTopicsCounted} {library.places.length} {libraryTexts.placesCounted}
      </p>
      <section>
        <h2>{libraryTexts.sources}</h2>
        <Facts>
          <thead>
            <tr>
              <th scope="col">{libraryTexts.entries}</th>
              <th scope="col">{libraryTexts.sourceColumn}</th>
            </tr>
          </thead>
          <tbody>
            {counts.map(([id, count]) => (
              <tr key={id}>
                <td className="figures">{count}</td>
                <td>{sourceInWords(id, library.sources)}</td>
              </tr>
            ))}
          </tbody>
        </Facts>
      </section>
      <Quiet>
        {libraryTexts.version} {library.version}
      </Quiet>
    </Sheet>
  );
}
