import { commonTexts } from '../../texts/commonTexts.ts';
import { libraryTexts } from '../../texts/libraryTexts.ts';
import { useEffect, useState } from 'react';
import { Link, useOutletContext, useParams } from 'react-router';
import { styled } from 'styled-components';
import { MONTHS } from '../../kit/dates.ts';
import { FREQUENCY } from '../../../core/schema/scale.ts';
import type { TiedPhrases } from '../../../contracts/cases.ts';
import { api } from '../../api/api.ts';
import { PlateFigure } from '../../plates/PlateFigure.tsx';
import { Differ, Missing } from './CausePage.tsx';
import { Facts, HowOften, Quiet, Sheet, AmountSaid } from './parts.tsx';
import type { LibraryReading } from '../../library/useLibrary.ts';
import { TreatmentFacts } from './TreatmentFacts.tsx';
import { ruleInWords, sourceInWords, spaced } from './words.ts';
import { YearStrip } from './YearStrip.tsx';
import { midSentence } from '../../../wording/midSentence.ts';

const Drawn = styled.div`
  display: flex;
  gap: 20px;
  & > div {
    display: grid;
    gap: 8px;
    align-content: start;
  }
`;

/** Words that advisors of the clinic tied to a finding by hand, for who edits the library. */
function SaidHere({ finding }: { readonly finding: string }) {
  const [phrases, setPhrases] = useState<TiedPhrases['phrases']>([]);
  useEffect(() => {
    let here = true;
    void api.tiedPhrases().then((read) => {
      if (here && read.ok) setPhrases(read.value.phrases);
    });
    return () => {
      here = false;
    };
  }, []);
  const own = phrases.filter((one) => one.finding === finding);
  if (own.length === 0) return null;
  return (
    <section>
      <h2>
        {libraryTexts.saidHere} <Quiet>{libraryTexts.tiedByHand}</Quiet>
      </h2>
      <Facts>
        <tbody>
          {own.map(({ said, times }) => (
            <tr key={said}>
              <th scope="row">“{said}”</th>
              <td className="figures">{times} ×</td>
            </tr>
          ))}
        </tbody>
      </Facts>
    </section>
  );
}

/** One finding: how to ask for it, and which causes show it. */
export function FindingPage() {
  const { shelf } = useOutletContext<LibraryReading>();
  const { id } = useParams();
  const { library } = shelf;
  const finding = library.findings.find((one) => one.id === id);
  if (!finding) return <Missing />;
  const showing = library.causes
    .flatMap((cause) => {
      const word = cause.findings[finding.id];
      return word === undefined || FREQUENCY[word] === 0 ? [] : [{ cause, word }];
    })
    .sort((a, b) => FREQUENCY[b.word] - FREQUENCY[a.word]);
  const general = library.findings.filter((one) => finding.isA.includes(one.id));
  return (
    <Sheet>
      <header>
        <h1>{finding.label}</h1>
        <Quiet>
          {finding.part} · {finding.kind} {libraryTexts.seenWithoutCause} {finding.background}
        </Quiet>
      </header>
      <Drawn>
        {finding.plate !== undefined && (
          <PlateFigure
            plate={finding.plate}
            label={libraryTexts.drawing(finding.label)}
            pixels={148}
          />
        )}
        <div>
          <p>{finding.question}</p>
          {finding.how !== undefined && <p>{finding.how}</p>}
          {general.map((one) => (
            <p key={one.id}>
              {libraryTexts.aKindOf}{' '}
              <Link to={`/library/finding/${one.id}`}>{midSentence(one.label)}</Link>.
            </p>
          ))}
        </div>
      </Drawn>
      <section>
        <h2>
          {libraryTexts.causesThatShowIt} <Quiet>{showing.length}</Quiet>
        </h2>
        <Facts>
          <tbody>
            {showing.map(({ cause, word }) => (
              <HowOften
                key={cause.id}
                to={`/library/cause/${cause.id}`}
                name={cause.name}
                word={word}
              />
            ))}
          </tbody>
        </Facts>
      </section>
      <SaidHere finding={finding.id} />
      <Quiet>
        {libraryTexts.source} {sourceInWords(finding.source, library.sources)}
      </Quiet>
    </Sheet>
  );
}

/** One treatment: what to do, who may, in which weather, against what. */
export function TreatmentPage() {
  const { shelf, almanac, today } = useOutletContext<LibraryReading>();
  const { id } = useParams();
  const { library } = shelf;
  const treatment = library.treatments.find((one) => one.id === id);
  if (!treatment) return <Missing />;
  const against = library.causes.flatMap((cause) => {
    const option = cause.treatments.find(({ use }) => use === treatment.id);
    return option ? [{ cause, effect: option.effect }] : [];
  });
  return (
    <Sheet>
      <header>
        <h1>{treatment.name}</h1>
        <Quiet>
          {libraryTexts.tier} {spaced(treatment.rung)}
          {treatment.modeOfAction !== undefined && ` · ${treatment.modeOfAction}`}
        </Quiet>
      </header>
      <p>{treatment.text}</p>
      {treatment.when !== undefined && treatment.when.kind !== 'any' && (
        <YearStrip
          rows={[{ name: treatment.name, rule: treatment.when, kind: 'treatment' }]}
          almanac={almanac}
          today={today}
        />
      )}
      <TreatmentFacts treatment={treatment} />
      {treatment.cautions.map((text) => (
        <p key={text}>
          {commonTexts.mind} {text}
        </p>
      ))}
      <section>
        <h2>
          {libraryTexts.against} <Quiet>{against.length}</Quiet>
        </h2>
        <Facts>
          <tbody>
            {against.map(({ cause, effect }) => (
              <tr key={cause.id}>
                <th scope="row">
                  <Link to={`/library/cause/${cause.id}`}>{cause.name}</Link>
                </th>
                <td>
                  {effect} {libraryTexts.effect}
                </td>
              </tr>
            ))}
          </tbody>
        </Facts>
      </section>
      <Differ shelf={shelf} about={treatment.id} />
      <Quiet>
        {libraryTexts.noRate} {sourceInWords(treatment.source, library.sources)}
      </Quiet>
    </Sheet>
  );
}

/** One care topic with its steps and their dates here. */
export function CarePage() {
  const { shelf, almanac, today } = useOutletContext<LibraryReading>();
  const { id } = useParams();
  const topic = shelf.library.careTopics.find((one) => one.id === id);
  if (!topic) return <Missing />;
  const dated = topic.steps.flatMap(({ text, when }) =>
    when === undefined || when.kind === 'any'
      ? []
      : [{ name: text, rule: when, kind: 'treatment' as const }],
  );
  return (
    <Sheet>
      <h1>{topic.name}</h1>
      <p>{topic.say}</p>
      {dated.length > 0 && <YearStrip rows={dated} almanac={almanac} today={today} />}
      <section>
        <h2>{libraryTexts.steps}</h2>
        <Facts>
          <tbody>
            {topic.steps.map(({ text, when, amount }) => (
              <tr key={text}>
                <td>
                  {text} <AmountSaid amount={amount ?? null} />
                </td>
                <td>
                  <Quiet>{when === undefined ? libraryTexts.anyTime : ruleInWords(when)}</Quiet>
                </td>
              </tr>
            ))}
          </tbody>
        </Facts>
      </section>
      {topic.avoid.map(({ text, why }) => (
        <p key={text}>
          {libraryTexts.not} {text}. {why}
        </p>
      ))}
      <Differ shelf={shelf} about={topic.id} />
      <Quiet>
        {libraryTexts.source} {sourceInWords(topic.source, shelf.library.sources)}
      </Quiet>
    </Sheet>
  );
}

/** One reference place with its monthly normals. */
export function PlacePage() {
  const { shelf } = useOutletContext<LibraryReading>();
  const { id } = useParams();
  const place = shelf.library.places.find((one) => one.id === id);
  if (!place) return <Missing />;
  const rows = [
    [libraryTexts.warmestOfTheDayC, place.maxCelsius],
    [libraryTexts.coldestOfTheNightC, place.minCelsius],
    [libraryTexts.rainMm, place.rainMillimetres],
  ] as const;
  return (
    <Sheet>
      <header>
        <h1>{place.name}</h1>
        <Quiet>
          {place.climate} · {Math.abs(place.latitude)} {place.latitude < 0 ? 'S' : 'N'},{' '}
          {Math.abs(place.longitude)} {place.longitude < 0 ? 'W' : 'E'} · {place.elevationMetres} m
        </Quiet>
      </header>
      <Facts>
        <thead>
          <tr>
            <th scope="col">{libraryTexts.monthlyMean}</th>
            {MONTHS.map((month) => (
              <th key={month} scope="col">
                {month}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, values]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {values.map((value, month) => (
                <td key={MONTHS[month]} className="figures">
                  {value}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Facts>
      <Quiet>
        {libraryTexts.source} {sourceInWords(place.source, shelf.library.sources)}
      </Quiet>
    </Sheet>
  );
}
