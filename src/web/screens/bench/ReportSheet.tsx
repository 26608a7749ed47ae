import { styled } from 'styled-components';
import {
  REPORT_SORTS,
  SOIL_METHODS,
  type ReportSort,
  type SoilMethod,
} from '../../../core/measures/report/elements.ts';
import { interpret, type Interpreted } from '../../../core/measures/report/interpret.ts';
import { readReport, type ReadReport } from '../../../core/measures/report/readReport.ts';
import { readMeasure } from '../../../core/measures/readMeasure.ts';
import { readFaultText } from '../../../wording/measures.ts';
import { METHOD_NAMES, oddText, SORT_NAMES } from '../../../wording/report.ts';
import { Paper } from '../../kit/fields.tsx';
import { benchTexts } from '../../texts/benchTexts.ts';
import { Blank, Choice, Fault, Sentence, Sheet } from './parts.ts';
import { ReportSays } from './ReportSays.tsx';
import { RestsOn } from './RestsOn.tsx';
import type { Typed } from './blanks.ts';

const Report = styled(Paper)`
  max-width: 62ch;
  font: 15px/1.5 var(--figures);
`;
/** What was typed into the page, from its address. */
interface Filled {
  readonly text: string;
  readonly read: ReadReport;
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
    areaFault: area && !area.ok ? readFaultText(area.error, 'area') : null,
    said: interpret(read, {
      area: squareMetres,
      acidLoving: typed['plants'] === 'acid',
      method: oneOf<SoilMethod>(SOIL_METHODS, typed['method']),
    }),
  };
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
      <Report
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
      {read.readings.length > 0 && <ReportSays sort={read.sort} said={said} />}
      <RestsOn onStartOver={onStartOver}>{report.rests}</RestsOn>
    </Sheet>
  );
}
