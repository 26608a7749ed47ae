import { styled } from 'styled-components';
import {
  LEVELS,
  REPORT_SORTS,
  SOIL_METHODS,
  type Level,
  type ReportSort,
  type SoilMethod,
} from '../../../core/measures/report/elements.ts';
import { interpret, type Interpreted } from '../../../core/measures/report/interpret.ts';
import { readReport, type ReadReport } from '../../../core/measures/report/readReport.ts';
import { readMeasure } from '../../../core/measures/readMeasure.ts';
import { readFaultText } from '../../../wording/measures.ts';
import {
  ELEMENT_NAMES,
  LABORATORY_FIRST,
  levelText,
  lockedText,
  METHOD_NAMES,
  methodText,
  missingText,
  needLine,
  oddText,
  SORT_NAMES,
  valueText,
  warningTexts,
} from '../../../wording/report.ts';
import { Button } from '../../kit/Button.tsx';
import { benchTexts } from '../../texts/benchTexts.ts';
import { Blank, Choice, Fault, Rests, Sentence, Sheet } from './parts.ts';
import type { Typed } from './blanks.ts';

const Paper = styled.textarea`
  width: 100%;
  max-width: 62ch;
  min-height: 120px;
  padding: 8px 10px;
  border: 1px solid var(--hairline);
  border-left: 3px solid var(--teal);
  border-radius: 3px;
  background: var(--surface);
  color: var(--ink);
  font: 15px/1.5 var(--figures);
  resize: vertical;
`;
const Values = styled.table`
  max-width: 76ch;
  border-collapse: collapse;
  font-size: 15px;
  & th,
  & td {
    padding: 4px 14px 4px 0;
    border-bottom: 1px solid var(--hairline);
    text-align: left;
    font-weight: 400;
  }
  & thead th {
    color: var(--quiet);
    font-size: 13px;
  }
  & :nth-child(2):is(th, td) {
    text-align: right;
  }
  & td:nth-child(2) {
    font-variant-numeric: tabular-nums;
  }
`;
const Steps = styled.span`
  display: inline-grid;
  grid-template-columns: repeat(5, 18px);
  gap: 2px;
  align-items: end;
  & i {
    border-bottom: 2px solid var(--hairline);
  }
  & i[data-here] {
    border-bottom: 0;
    background: var(--ink);
    border-radius: 1px;
  }
`;
const Said = styled.ul`
  max-width: 70ch;
  display: grid;
  gap: 6px;
  font-size: 16px;
`;

/** Five steps from far too little to far too much; the value stands on one. */
function Ladder({ level }: { readonly level: Level | null }) {
  return (
    <Steps aria-hidden>
      {LEVELS.map((one, i) => (
        <i key={one} style={{ height: 4 + 3 * i }} data-here={one === level ? true : undefined} />
      ))}
    </Steps>
  );
}

/** What was typed into the page, from its address. */
interface Filled {
  readonly text: string;
  readonly read: ReadReport;
  readonly area: number | null;
  readonly areaFault: string | null;
  readonly said: Interpreted;
}

const oneOf = <T extends string>(all: readonly T[], word: string | undefined): T | null =>
  all.find((one) => one === word) ?? null;

function filled(typed: Typed, isUs: boolean): Filled {
  const text = typed['report'] ?? '';
  const read = readReport(text, oneOf<ReportSort>(REPORT_SORTS, typed['sort']) ?? undefined);
  const said = typed['area']?.trim() ?? '';
  const area = said === '' ? null : readMeasure(said, 'area', isUs);
  const squareMetres = area?.ok === true && area.value > 0 ? area.value : null;
  return {
    text,
    read,
    area: squareMetres,
    areaFault: area && !area.ok ? readFaultText(area.error, 'area') : null,
    said: interpret(read, {
      area: squareMetres,
      acidLoving: typed['plants'] === 'acid',
      method: oneOf<SoilMethod>(SOIL_METHODS, typed['method']),
    }),
  };
}

function Table({ read, said }: Pick<Filled, 'read' | 'said'>) {
  return (
    <Values>
      <thead>
        <tr>
          {benchTexts.report.columns.map((name) => (
            <th key={name} scope="col">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {said.classed.map(({ element, value, level }) => (
          <tr key={element.id}>
            <th scope="row">{ELEMENT_NAMES[element.id]}</th>
            <td>{valueText(value, element.unit)}</td>
            <td>
              <Ladder level={level} />
            </td>
            <td>{levelText(read.sort, element.id, level)}</td>
          </tr>
        ))}
      </tbody>
    </Values>
  );
}

function Meaning({ said }: Pick<Filled, 'said'>) {
  const texts = [lockedText(said), ...warningTexts(said), methodText(said), missingText(said)];
  return (
    <>
      {said.needs.length > 0 && (
        <section>
          <h2>{said.area === null ? benchTexts.report.giveRate : benchTexts.report.give}</h2>
          <Said>
            {said.needs.map((need) => (
              <li key={need.matter}>{needLine(need)}</li>
            ))}
          </Said>
        </section>
      )}
      <section>
        <h2>{benchTexts.report.means}</h2>
        <Said>
          {texts.flatMap((text) => (text === null ? [] : [<li key={text}>{text}</li>]))}
          <li>{LABORATORY_FIRST}</li>
        </Said>
      </section>
    </>
  );
}

interface ReportSheetProps {
  readonly typed: Typed;
  readonly isUs: boolean;
  readonly onType: (name: string, text: string) => void;
  readonly onStartOver: () => void;
}

const MAX_REPORT = 3000;

function Pick({
  name,
  label,
  words,
  typed,
  onType,
}: {
  readonly name: string;
  readonly label: string;
  readonly words: readonly (readonly [id: string, word: string])[];
} & Pick<ReportSheetProps, 'typed' | 'onType'>) {
  return (
    <Choice
      aria-label={label}
      value={typed[name] ?? ''}
      onChange={({ target }) => {
        onType(name, target.value);
      }}
    >
      {words.map(([id, word]) => (
        <option key={id} value={id}>
          {word}
        </option>
      ))}
    </Choice>
  );
}

/** A soil, water or leaf test as it is read out or pasted: what each value is, and what follows for the ground. */
export function ReportSheet({ typed, isUs, onType, onStartOver }: ReportSheetProps) {
  const { text, read, areaFault, said } = filled(typed, isUs);
  const { report } = benchTexts;
  return (
    <Sheet>
      <h1>{report.name}</h1>
      <Paper
        aria-label={report.paper}
        placeholder={report.example}
        maxLength={MAX_REPORT}
        value={text}
        onChange={({ target }) => {
          onType('report', target.value);
        }}
      />
      <Sentence>
        {report.itIs}{' '}
        <Pick
          name="sort"
          label={report.sort}
          words={[['', report.byWords(SORT_NAMES[read.sort])], ...Object.entries(SORT_NAMES)]}
          typed={typed}
          onType={onType}
        />{' '}
        {read.sort === 'soil' && (
          <>
            {report.by}{' '}
            <Pick
              name="method"
              label={report.method}
              words={[['', report.asNamed], ...Object.entries(METHOD_NAMES)]}
              typed={typed}
              onType={onType}
            />{' '}
            {report.of}{' '}
            <Blank
              aria-label={report.area}
              aria-invalid={areaFault !== null}
              autoComplete="off"
              size={12}
              maxLength={40}
              value={typed['area'] ?? ''}
              onChange={({ target }) => {
                onType('area', target.value);
              }}
            />{' '}
            {report.forPlants}{' '}
            <Pick
              name="plants"
              label={report.plants}
              words={[
                ['', report.mostPlants],
                ['acid', report.acidPlants],
              ]}
              typed={typed}
              onType={onType}
            />
          </>
        )}
      </Sentence>
      {areaFault !== null && <Fault>{areaFault}</Fault>}
      <div aria-live="polite">
        {read.odd.map((odd) => (
          <Fault key={odd.element.id}>{oddText(odd)}</Fault>
        ))}
        {text.trim() !== '' && read.readings.length === 0 && read.odd.length === 0 && (
          <Fault>{report.nothing}</Fault>
        )}
      </div>
      {read.readings.length > 0 && (
        <>
          <Table read={read} said={said} />
          <Meaning said={said} />
        </>
      )}
      <Rests>
        <h2>{benchTexts.restsOn}</h2>
        <p>{report.rests}</p>
      </Rests>
      <div>
        <Button kind="quiet" onPress={onStartOver}>
          {benchTexts.startOver}
        </Button>
      </div>
    </Sheet>
  );
}
