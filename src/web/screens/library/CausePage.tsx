import { entriesOf } from '../../../core/util/typedKeys.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { amountOf } from '../../../core/advice/candidates.ts';
import { libraryTexts } from '../../texts/libraryTexts.ts';
import { Link, useOutletContext, useParams } from 'react-router';
import { FREQUENCY } from '../../../core/schema/scale.ts';
import type { Cause, Circumstance } from '../../../core/schema/cause.ts';
import type { FindingId, PlantId, TreatmentId } from '../../../core/schema/common.ts';
import type { ForKinds } from '../../../core/schema/kinds.ts';
import { midSentence } from '../../../wording/midSentence.ts';
import { Notice } from '../../kit/Notice.tsx';
import type { LibraryIndex } from '../../library/libraryIndex.ts';
import { Facts, Halves, HowOften, PlantLinks, Quiet, Sheet, AmountSaid } from './parts.tsx';
import type { LibraryReading } from '../../library/useLibrary.ts';
import { harmInWords, ruleInWords, sourceInWords, spaced } from './words.ts';
import { YearStrip, type StripRow } from './YearStrip.tsx';
import { capital } from '../../../wording/midSentence.ts';

const findingOf = (shelf: LibraryIndex, id: FindingId) =>
  shelf.library.findings.find((one) => one.id === id);
const treatmentOf = (shelf: LibraryIndex, id: TreatmentId) =>
  shelf.library.treatments.find((one) => one.id === id);

/** The lines of a cause's year: when it is seen, its stages, and what has a window of its own. */
function stripRows(shelf: LibraryIndex, cause: Cause): readonly StripRow[] {
  const stages = cause.stages.map(({ name, when }) => ({
    name,
    rule: when,
    kind: 'cause' as const,
  }));
  const steps = cause.treatments.flatMap(({ use, when }) => {
    const treatment = treatmentOf(shelf, use);
    const rule = when ?? treatment?.when;
    return treatment && rule !== undefined && rule.kind !== 'any'
      ? [{ name: treatment.name, rule, kind: 'treatment' as const }]
      : [];
  });
  return [{ name: libraryTexts.seen, rule: cause.seen, kind: 'cause' }, ...stages, ...steps];
}

function Shows({ shelf, cause }: { readonly shelf: LibraryIndex; readonly cause: Cause }) {
  const list = entriesOf(cause.findings).sort((a, b) => FREQUENCY[b[1]] - FREQUENCY[a[1]]);
  return (
    <section>
      <h2>{libraryTexts.whatItShows}</h2>
      <Facts>
        <tbody>
          {list.map(([id, word]) => (
            <HowOften
              key={id}
              to={`/library/finding/${id}`}
              name={findingOf(shelf, id)?.label ?? id}
              plate={findingOf(shelf, id)?.plate ?? 'none'}
              word={word}
            />
          ))}
        </tbody>
      </Facts>
    </section>
  );
}

function Plants({ shelf, cause }: { readonly shelf: LibraryIndex; readonly cause: Cause }) {
  const names = new Map(shelf.library.plants.map(({ id, name }) => [id, name]));
  const byWord = new Map<string, PlantId[]>();
  for (const [id, word] of entriesOf(cause.hosts))
    byWord.set(word, [...(byWord.get(word) ?? []), id]);
  return (
    <section>
      <h2>{libraryTexts.onWhichPlants}</h2>
      <Facts>
        <tbody>
          {['very', 'usual', 'less', 'seldom', 'immune'].flatMap((word) => {
            const list = byWord.get(word);
            if (!list) return [];
            return [
              <tr key={word}>
                <th scope="row">
                  <Quiet>{word === 'immune' ? libraryTexts.notOn : capital(word)}</Quiet>
                </th>
                <td>
                  <PlantLinks plants={list.map((id) => ({ id, name: names.get(id) ?? id }))} />
                </td>
              </tr>,
            ];
          })}
        </tbody>
      </Facts>
    </section>
  );
}

const namesOf = (shelf: LibraryIndex, kinds: readonly PlantId[]): string =>
  kinds
    .map((id) => shelf.library.plants.find((one) => one.id === id)?.name ?? id)
    .map(midSentence)
    .join(', ');

/** The kinds of plant that a treatment or a reason is for, where it is not for all. */
function forWhich(shelf: LibraryIndex, { only, except }: ForKinds): string {
  const [those, others] = [namesOf(shelf, only ?? []), namesOf(shelf, except ?? [])];
  return `${those && libraryTexts.onlyFor(those)}${others && libraryTexts.exceptFor(others)}`;
}

/** Why nothing needs doing or nothing helps, with when and on what that holds. */
function Reason({
  shelf,
  circumstance,
}: {
  readonly shelf: LibraryIndex;
  readonly circumstance: Circumstance;
}) {
  const { when, why } = circumstance;
  const holds = `${when ? ruleInWords(when) : ''}${forWhich(shelf, circumstance)}`;
  return (
    <p>
      {why} <Quiet>{capital(holds.replace(/^; /, ''))}</Quiet>
    </p>
  );
}

function WhatToDo({ shelf, cause }: { readonly shelf: LibraryIndex; readonly cause: Cause }) {
  return (
    <section>
      <h2>{libraryTexts.whatHelps}</h2>
      {cause.leave !== undefined && <p>{cause.leave}</p>}
      {[...cause.leaveOn, ...(cause.pastHelp ? [cause.pastHelp] : [])].map((one) => (
        <Reason key={one.why} shelf={shelf} circumstance={one} />
      ))}
      <Facts>
        <tbody>
          {cause.treatments.map((option) => {
            const { use, effect, when, text } = option;
            const treatment = treatmentOf(shelf, use);
            const rule = when ?? treatment?.when;
            return (
              <tr key={`${use} ${option.only?.join(' ') ?? ''}`}>
                <th scope="row">
                  <Link to={`/library/treatment/${use}`}>{treatment?.name ?? use}</Link>
                  <br />
                  <Quiet>
                    {effect} {libraryTexts.effect}
                    {rule && rule.kind !== 'any' ? `; ${ruleInWords(rule)}` : ''}
                    {forWhich(shelf, option)}
                  </Quiet>
                </th>
                <td>
                  {text ?? treatment?.text}{' '}
                  {treatment && <AmountSaid amount={amountOf(option, treatment).amount} />}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Facts>
    </section>
  );
}

function LookAlikes({ shelf, cause }: { readonly shelf: LibraryIndex; readonly cause: Cause }) {
  return (
    <section>
      <h2>{libraryTexts.easilyTakenFor}</h2>
      {cause.lookAlikes.length === 0 && <p>{libraryTexts.nothingElseInTheLibrary}</p>}
      {cause.lookAlikes.map(({ id, tells }) => (
        <p key={id}>
          <Link to={`/library/cause/${id}`}>{shelf.causes.get(id)?.name ?? id}</Link>: {tells}{' '}
          <Link to={`/library/compare/${cause.id}/${id}`}>{commonTexts.sideBySide}</Link>
        </p>
      ))}
    </section>
  );
}

interface DifferProps {
  readonly shelf: LibraryIndex;
  /** Id of a cause, a treatment or a care topic. */
  readonly about: string;
}

/** Where practitioners differ about it. */
export function Differ({ shelf, about }: DifferProps) {
  return shelf.library.views
    .filter((view) => view.about.includes(about))
    .map(({ id, over, here, others, why }) => (
      <section key={id}>
        <h2>
          {commonTexts.advisorsDiffer} {midSentence(over)}
        </h2>
        <p>{others}</p>
        <p>
          {commonTexts.here} {here} {why}
        </p>
      </section>
    ));
}

/** All that the library holds about one cause. */
export function CausePage() {
  const { shelf, almanac, today } = useOutletContext<LibraryReading>();
  const cause = shelf.causes.get(useParams().id ?? '');
  if (!cause) return <Missing />;
  return (
    <Sheet>
      <header>
        <h1>{cause.name}</h1>
        <Quiet>
          {cause.scientific !== undefined && <i>{cause.scientific} · </i>}
          {cause.category} · {spaced(cause.common)}
          {cause.aliases.length > 0 && libraryTexts.also(cause.aliases.join(', '))}
        </Quiet>
      </header>
      <p>{cause.say}</p>
      <section>
        <h2>{libraryTexts.itsYearAtTheClinic}</h2>
        <YearStrip rows={stripRows(shelf, cause)} almanac={almanac} today={today} />
      </section>
      <Halves>
        <Shows shelf={shelf} cause={cause} />
        <LookAlikes shelf={shelf} cause={cause} />
      </Halves>
      <WhatToDo shelf={shelf} cause={cause} />
      <Halves>
        <section>
          <h2>{libraryTexts.harmIfLeft}</h2>
          <p>{harmInWords(cause.harm)}</p>
          {cause.leadsTo.map((id) => (
            <p key={id}>
              {libraryTexts.itInvites}{' '}
              <Link to={`/library/cause/${id}`}>{shelf.causes.get(id)?.name ?? id}</Link>.
            </p>
          ))}
          {cause.expect !== undefined && <p>{cause.expect}</p>}
          {cause.confirm !== undefined && (
            <p>
              {libraryTexts.toBeSure} {cause.confirm}
            </p>
          )}
          {cause.cautions.map((text) => (
            <p key={text}>
              {commonTexts.mind} {text}
            </p>
          ))}
          {cause.avoid.map(({ text, why }) => (
            <p key={text}>
              {libraryTexts.not} {text}. {why}
            </p>
          ))}
        </section>
        <Plants shelf={shelf} cause={cause} />
      </Halves>
      <p>
        <Link to={`/casebook?cause=${cause.id}`}>{libraryTexts.casesOfThis}</Link>
      </p>
      <Differ shelf={shelf} about={cause.id} />
      <Quiet>
        {libraryTexts.source} {sourceInWords(cause.source, shelf.library.sources)}
      </Quiet>
      {cause.stages.map(
        ({ name, source }) =>
          source !== undefined && (
            <Quiet key={name}>
              {libraryTexts.datesOf}
              {name}”: {sourceInWords(source, shelf.library.sources)}
            </Quiet>
          ),
      )}
    </Sheet>
  );
}

/** An address of the Library that leads nowhere. */
export function Missing() {
  return (
    <Sheet>
      <h1>{libraryTexts.noSuchPage}</h1>
      <Notice tone="caution">{libraryTexts.noPageOfThatName}</Notice>
    </Sheet>
  );
}
