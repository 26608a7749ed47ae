import { styled } from 'styled-components';
import { LEVELS, type Level, type ReportSort } from '../../../core/measures/report/elements.ts';
import type { Interpreted } from '../../../core/measures/report/interpret.ts';
import {
  ELEMENT_NAMES,
  LABORATORY_FIRST,
  levelText,
  lockedText,
  methodText,
  missingText,
  needLine,
  valueText,
  warningTexts,
} from '../../../wording/report.ts';
import { useSpelling } from '../../store/useSpelling.ts';
import { benchTexts } from '../../texts/benchTexts.ts';

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

interface ReportSaysProps {
  readonly sort: ReportSort;
  readonly said: Interpreted;
}

function Table({ sort, said }: ReportSaysProps) {
  const spell = useSpelling();
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
            <th scope="row">{spell(ELEMENT_NAMES[element.id] ?? element.id)}</th>
            <td>{valueText(value, element.unit)}</td>
            <td>
              <Ladder level={level} />
            </td>
            <td>{levelText(sort, element.id, level)}</td>
          </tr>
        ))}
      </tbody>
    </Values>
  );
}

function Meaning({ said }: Pick<ReportSaysProps, 'said'>) {
  const spell = useSpelling();
  const texts = [lockedText(said), ...warningTexts(said), methodText(said), missingText(said)];
  return (
    <>
      {said.needs.length > 0 && (
        <section>
          <h2>{said.area === null ? benchTexts.report.giveRate : benchTexts.report.give}</h2>
          <Said>
            {said.needs.map((need) => (
              <li key={need.matter}>{spell(needLine(need))}</li>
            ))}
          </Said>
        </section>
      )}
      <section>
        <h2>{benchTexts.report.means}</h2>
        <Said>
          {texts.flatMap((text) => (text === null ? [] : [<li key={text}>{spell(text)}</li>]))}
          <li>{LABORATORY_FIRST}</li>
        </Said>
      </section>
    </>
  );
}

/** What a report says: the class of each value, what to give, and what else follows. */
export function ReportSays({ sort, said }: ReportSaysProps) {
  return (
    <>
      <Table sort={sort} said={said} />
      <Meaning said={said} />
    </>
  );
}
