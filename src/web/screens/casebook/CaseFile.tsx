import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { styled } from 'styled-components';
import type { StoredEvent } from '../../../contracts/caseEvents.ts';
import type { CasePlant, CaseRecord } from '../../../contracts/cases.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { fail, ok, type Result } from '../../../core/util/result.ts';
import { api } from '../../api/api.ts';
import { Button } from '../../kit/Button.tsx';
import { longDate, momentInWords } from '../../kit/dates.ts';
import { Notice } from '../../kit/Notice.tsx';
import { useCan } from '../../store/useCan.ts';
import { useLibrary } from '../../library/useLibrary.ts';
import type { LibraryIndex } from '../../library/libraryIndex.ts';
import { casebookTexts } from '../../texts/casebookTexts.ts';
import { handoverTexts } from '../../texts/handoverTexts.ts';
import { deskTexts } from '../../texts/deskTexts.ts';
import { sampleNumber, type Sample } from '../../../contracts/samples.ts';
import { causeName } from '../../library/causeName.ts';
import { resultLine } from '../../library/resultLine.ts';
import { followTexts } from '../../texts/followTexts.ts';
import { sampleTexts } from '../../texts/sampleTexts.ts';
import { Forget } from './Forget.tsx';
import { happenings } from './happenings.ts';

const Page = styled.main`
  overflow: auto;
  padding: 20px 24px 40px;
`;
const Paper = styled.article`
  max-width: 860px;
  padding: 22px 28px 28px;
  background: var(--surface);
  border-top: 2px solid var(--ink);
  & h1 {
    font-size: 24px;
  }
  & h2 {
    padding: 20px 0 4px;
    font-size: 20px;
  }
  & h3 {
    padding: 14px 0 3px;
    font-size: 15px;
    color: var(--quiet);
  }
  & li {
    padding: 2px 0;
  }
`;
const Bar = styled.div`
  display: flex;
  align-items: baseline;
  gap: 14px;
  padding-bottom: 12px;
  @media print {
    display: none;
  }
`;
const Said = styled.p`
  white-space: pre-wrap;
  overflow-wrap: anywhere;
`;
const Given = styled.pre`
  margin: 0;
  padding: 8px 12px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  border-left: 3px solid var(--hairline);
  font: 14px/1.45 var(--sans);
`;
const Quiet = styled.p`
  color: var(--quiet);
`;
const When = styled.span`
  display: inline-block;
  min-width: 160px;
  font: 14px/1.5 var(--figures);
`;

interface Read {
  readonly record: CaseRecord;
  readonly events: readonly StoredEvent[];
}

/** The case as it stands and everything that happened to it, however much that is. */
async function readWhole(id: string): Promise<Result<Read, Problem>> {
  const record = await api.readCase(id);
  if (!record.ok) return record;
  const events: StoredEvent[] = [];
  for (;;) {
    const page = await api.changes(id, events.at(-1)?.version ?? 0);
    if (!page.ok) return fail(page.error);
    events.push(...page.value.events);
    if (!page.value.more) return ok({ record: record.value, events });
  }
}

/** One case as a record to read and to print: said, asked, advised, handed over, what came of it, and who did what. */
export function CaseFile() {
  const { id = '' } = useParams();
  const { reading } = useLibrary();
  const forgets = useCan('cases.forget');
  const [round, setRound] = useState(0);
  const [read, setRead] = useState<Result<Read, Problem> | null>(null);
  useEffect(() => {
    let isHere = true;
    void readWhole(id).then((done) => {
      if (isHere) setRead(done);
    });
    return () => {
      isHere = false;
    };
  }, [id, round]);
  const number = read?.ok === true ? read.value.record.number : null;
  useEffect(() => {
    document.title = number === null ? casebookTexts.title : casebookTexts.recordTitle(number);
  }, [number]);
  return (
    <Page>
      {read === null && <Notice>{casebookTexts.reading}</Notice>}
      {read?.ok === false && (
        <Notice tone="caution">
          {read.error.message} {read.error.cure}
        </Notice>
      )}
      {read?.ok === true && <Record {...read.value} shelf={reading?.shelf ?? null} />}
      {read?.ok === true && forgets && (
        <Forget record={read.value.record} onForgotten={() => setRound(round + 1)} />
      )}
    </Page>
  );
}

interface WithShelf {
  /** Null until the library is there; ids stand for names then. */
  readonly shelf: LibraryIndex | null;
}

function Record({ record, events, shelf }: Read & WithShelf) {
  const { number, openedAt, enquirer, plants } = record;
  return (
    <>
      <Bar>
        <Link to={`/case/${record.id}`}>{casebookTexts.onTheDesk}</Link>
        <Button onPress={() => window.print()}>{casebookTexts.print}</Button>
      </Bar>
      <Paper>
        <h1>{casebookTexts.recordTitle(number)}</h1>
        <p>
          {longDate(openedAt.slice(0, 10))} · {enquirer.name || deskTexts.nameNotTaken}
          {enquirer.contact !== '' && ` · ${enquirer.contact}`}
        </p>
        {plants.map((plant) => (
          <PlantRecord key={plant.id} number={number} plant={plant} shelf={shelf} />
        ))}
        {record.notes.length > 0 && (
          <>
            <h2>{handoverTexts.title}</h2>
            <ul>
              {record.notes.map(({ id, on, by, text }) => (
                <li key={id}>
                  <When>{longDate(on)}</When> {by}: {text}
                </li>
              ))}
            </ul>
          </>
        )}
        <h2>{casebookTexts.happened}</h2>
        <ul>
          {happenings(events).map(({ at, author, text, key }) => (
            <li key={key}>
              <When>{at === null ? '' : momentInWords(at)}</When> {author} {text}
            </li>
          ))}
        </ul>
      </Paper>
    </>
  );
}

const idInWords = (id: string): string => id.replaceAll('-', ' ');

function answerInWords(shelf: LibraryIndex | null, value: string | boolean): string {
  if (value === true) return casebookTexts.yes;
  if (value === false) return casebookTexts.no;
  if (value === 'unknown') return casebookTexts.cannotTell;
  return shelf?.library.findings.find(({ id }) => id === value)?.label ?? idInWords(value);
}

function plantName({ plant, closingAnswer }: CasePlant, shelf: LibraryIndex | null): string {
  const id = plant ?? closingAnswer?.plant?.id;
  if (id === undefined) return casebookTexts.plant;
  return shelf?.library.plants.find((one) => one.id === id)?.names[0] ?? idInWords(id);
}

/** A sample in one line: its number and kind, where it went, and what came back. */
function sampleInWords(caseNumber: number, sample: Sample, shelf: LibraryIndex | null): string {
  const { kind, sentOn, laboratory, result } = sample;
  const known = shelf?.library.sampleKinds.find(({ id }) => id === kind)?.name ?? idInWords(kind);
  const parts = [
    `${sampleNumber(caseNumber, sample)} ${known}`,
    ...(sentOn === null ? [] : [sampleTexts.sent(longDate(sentOn), laboratory)]),
    ...(result === null ? [] : [resultLine(sample, shelf), result.text]),
  ];
  return parts.filter((part) => part !== '').join('. ');
}

interface PlantRecordProps extends WithShelf {
  /** Of the case. */
  readonly number: number;
  readonly plant: CasePlant;
}

function PlantRecord({ number, plant, shelf }: PlantRecordProps) {
  const { words, answers, closingAnswer, plan, outcome, followUp, samples } = plant;
  const version = closingAnswer?.knowledge.version ?? plant.knowledgeVersion;
  const labelOf = (id: string): string =>
    shelf?.library.findings.find((one) => one.id === id)?.label ?? idInWords(id);
  return (
    <section>
      <h2>{plantName(plant, shelf)}</h2>
      <h3>{casebookTexts.said}</h3>
      <Said>{words || casebookTexts.nothingSaid}</Said>
      <h3>{casebookTexts.asked}</h3>
      {answers.length === 0 ? (
        <Quiet>{casebookTexts.nothingAsked}</Quiet>
      ) : (
        <ul>
          {answers.map(({ id, finding, value }) => (
            <li key={id}>
              {labelOf(finding)}: <b>{answerInWords(shelf, value)}</b>
            </li>
          ))}
        </ul>
      )}
      <h3>{casebookTexts.advised}</h3>
      {closingAnswer ? (
        <>
          <p>{closingAnswer.advice.headline}</p>
          <ul>
            {closingAnswer.advice.steps.map(({ id, text, amount }) => (
              <li key={id}>
                {text}
                {amount && ` (${amount.text})`}
              </li>
            ))}
            {plan.own.map(({ id, text }) => (
              <li key={id}>{text}</li>
            ))}
          </ul>
        </>
      ) : (
        <Quiet>{casebookTexts.nothingAdvised}</Quiet>
      )}
      {version !== null && <Quiet>{casebookTexts.library(version)}</Quiet>}
      {plan.given.length > 0 && <h3>{casebookTexts.given}</h3>}
      {plan.given.map(({ on, how, text }, i) => (
        <div key={`${on} ${i}`}>
          <p>
            {longDate(on)}, {casebookTexts.way[how]}
          </p>
          <Given>{text}</Given>
        </div>
      ))}
      <h3>{casebookTexts.proved}</h3>
      {outcome ? (
        <p>
          {causeName(outcome.cause, shelf)}: {casebookTexts.confirmed[outcome.confirmed]},{' '}
          {longDate(outcome.on)}
        </p>
      ) : (
        <Quiet>{casebookTexts.notProved}</Quiet>
      )}
      {followUp && (
        <>
          <h3>{followTexts.went}</h3>
          <p>
            {longDate(followUp.on)}. {followTexts.followedTitle}:{' '}
            {followTexts.followed[followUp.followed]}. {followTexts.resultTitle}{' '}
            {followTexts.results[followUp.result]}.
          </p>
          {followUp.note !== '' && <Said>{followUp.note}</Said>}
        </>
      )}
      {samples.length > 0 && (
        <>
          <h3>{sampleTexts.samples}</h3>
          <ul>
            {samples.map((sample) => (
              <li key={sample.id}>{sampleInWords(number, sample, shelf)}</li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
