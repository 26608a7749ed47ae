import { libraryTexts } from '../../texts/libraryTexts.ts';
import { Link, useOutletContext, useParams } from 'react-router';
import { COMMONNESS } from '../../../core/schema/scale.ts';
import type { Cause } from '../../../core/schema/cause.ts';
import type { Plant } from '../../../core/schema/plant.ts';
import type { LibraryIndex } from '../../library/libraryIndex.ts';
import { Missing } from './CausePage.tsx';
import { Facts, Halves, PlantLinks, Quiet, Sheet, Stack } from './parts.tsx';
import type { LibraryReading } from '../../library/useLibrary.ts';
import { ruleInWords, sourceInWords, spaced } from './words.ts';
import { capital } from '../../../wording/midSentence.ts';

/** What can befall a plant, the commonest first, with whether it is about now. */
function Troubles({
  title,
  causes,
  reading: { almanac, today },
}: {
  readonly title: string;
  readonly causes: readonly (readonly [Cause, number])[];
  readonly reading: LibraryReading;
}) {
  if (causes.length === 0) return null;
  const weight = ([cause, factor]: readonly [Cause, number]): number =>
    COMMONNESS[cause.common] * factor;
  const sorted = [...causes].sort((a, b) => weight(b) - weight(a));
  return (
    <section>
      <h2>
        {title} <Quiet>{causes.length}</Quiet>
      </h2>
      <Facts>
        <tbody>
          {sorted.map(([cause]) => (
            <tr key={cause.id}>
              <th scope="row">
                <Link to={`/library/cause/${cause.id}`}>{cause.name}</Link>
              </th>
              <td className="short">{spaced(cause.common)}</td>
              <td className="short">
                {almanac.daysOutside(cause.seen, today) === 0 ? 'now' : libraryTexts.notNow}
              </td>
            </tr>
          ))}
        </tbody>
      </Facts>
    </section>
  );
}

function traitsInWords(shelf: LibraryIndex, plant: Plant): string {
  const traits = shelf.taxonomy.traits(plant.id);
  const words = [
    traits.woody === true ? 'woody' : '',
    traits.evergreen === true ? 'evergreen' : '',
    traits.tall === true ? libraryTexts.growsBeyondReach : '',
    traits.indoors === true ? libraryTexts.keptIndoors : '',
    traits.beeVisited === true ? libraryTexts.visitedByBees : '',
    traits.poisonous === true ? 'poisonous' : '',
    traits.edible !== undefined && traits.edible !== 'none'
      ? libraryTexts.itsIsEaten(traits.edible)
      : '',
  ].filter(Boolean);
  return words.length > 0 ? `${capital(words.join(', '))}.` : libraryTexts.nothingNoted;
}

/** All that the library holds about one plant or group of plants. */
export function PlantPage() {
  const reading = useOutletContext<LibraryReading>();
  const { shelf } = reading;
  const { id } = useParams();
  const plant = shelf.library.plants.find((one) => one.id === id);
  if (!plant) return <Missing />;
  const named = (one: string): { id: string; name: string } => ({
    id: one,
    name: shelf.library.plants.find((other) => other.id === one)?.name ?? one,
  });
  const causes = [...shelf.hosting(plant.id)].flatMap(([causeId, factor]) => {
    const cause = shelf.causes.get(causeId);
    return cause ? [[cause, factor] as const] : [];
  });
  const isNormal = ([cause]: readonly [Cause, number]): boolean => cause.category === 'normal';
  const care = shelf.careFor(plant.id);
  const below = shelf.taxonomy.below(plant.id);
  return (
    <Sheet>
      <header>
        <h1>{plant.name}</h1>
        <Quiet>
          {plant.scientific !== undefined && <i>{plant.scientific} · </i>}
          <PlantLinks plants={shelf.taxonomy.lineage(plant.id).slice(1).map(named)} />
        </Quiet>
      </header>
      <p>
        {plant.names.length > 0 && libraryTexts.alsoCalled(plant.names.join(', '))}
        {traitsInWords(shelf, plant)}
      </p>
      {below.length > 0 && (
        <p>
          {libraryTexts.kinds} <PlantLinks plants={below.map(named)} />
        </p>
      )}
      <Halves>
        <Troubles
          title={libraryTexts.troubles}
          causes={causes.filter((one) => !isNormal(one))}
          reading={reading}
        />
        <Stack>
          <Troubles
            title={libraryTexts.looksThatAreNormal}
            causes={causes.filter(isNormal)}
            reading={reading}
          />
          {care.length > 0 && (
            <section>
              <h2>{libraryTexts.care}</h2>
              <ul>
                {care.map((topic) => (
                  <li key={topic.id}>
                    <Link to={`/library/care/${topic.id}`}>{topic.name}</Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </Stack>
      </Halves>
      {plant.traits.bloom && (
        <Quiet>
          {libraryTexts.inFlower} {ruleInWords(plant.traits.bloom)}
          {libraryTexts.byCommonPractice}
        </Quiet>
      )}
      <Quiet>
        {libraryTexts.source} {sourceInWords(plant.source, shelf.library.sources)}
      </Quiet>
    </Sheet>
  );
}
