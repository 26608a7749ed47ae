import { styled } from 'styled-components';
import type { Sheet, SheetPart } from '../../../../application/sheet.ts';
import { sheetWords } from '../../../../wording/sheet.ts';

/** Black on white in every theme, as it comes out of the printer. */
const Paper = styled.article<{ $large: boolean }>`
  padding: 22px 26px;
  background: #ffffff;
  color: #000000;
  font-size: ${({ $large }) => ($large ? '20px' : '14.5px')};
  line-height: 1.4;
  & header {
    display: flex;
    justify-content: space-between;
    gap: 16px;
    padding-bottom: 4px;
    border-bottom: 2px solid #000000;
  }
  & section {
    padding-top: 12px;
    break-inside: auto;
  }
  & ul,
  & ol,
  & h3,
  & h4,
  & p {
    margin: 0;
  }
  & h3 {
    font: 600 1.35em/1.25 var(--heading);
  }
  & h4 {
    padding-top: 8px;
    font-size: 1em;
    font-weight: 700;
  }
  & li {
    break-inside: avoid;
    padding: 3px 0;
  }
  & footer {
    margin-top: 14px;
    padding-top: 6px;
    border-top: 1px solid #000000;
    font-size: 0.9em;
  }
`;
const Steps = styled.ol`
  counter-reset: step;
  & > li {
    display: grid;
    grid-template-columns: 8.5em 1fr;
    gap: 0 12px;
    border-bottom: 1px solid #999999;
  }
  & time {
    font-weight: 700;
  }
`;
const Month = styled.table`
  border-collapse: collapse;
  break-inside: avoid;
  font-size: 0.85em;
  & th,
  & td {
    padding: 0 8px;
    border: 1px solid #999999;
    font-weight: 400;
    text-align: left;
  }
  & td {
    min-width: 3.6em;
    font-weight: 700;
  }
  & small {
    display: inline-block;
    min-width: 1.6em;
    font-weight: 400;
  }
`;
const Plain = styled.ul`
  padding-left: 1.1em;
  list-style: disc;
`;

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <>
      <h4>{title}</h4>
      <Plain>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Plain>
    </>
  );
}

/** The next weeks as a small calendar: the numbers are those of the steps. */
function Weeks({ weeks }: { readonly weeks: SheetPart['calendar'] }) {
  if (weeks.length === 0) return null;
  return (
    <>
      <h4>{sheetWords.calendar}</h4>
      <Month>
        <thead>
          <tr>
            <th scope="col">{sheetWords.week}</th>
            {sheetWords.weekdays.map((name) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map(({ from, days }) => (
            <tr key={from}>
              <th scope="row">{from}</th>
              {days.map(({ day, dayOfMonth, steps, look, past }) => (
                <td key={day}>
                  <small>{past ? '' : dayOfMonth}</small>
                  {[...steps.map(String), ...(look ? [sheetWords.look] : [])].join(', ')}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Month>
    </>
  );
}

function Part({ part }: { readonly part: SheetPart }) {
  return (
    <section>
      <h3>{part.title}</h3>
      <p>{part.say}</p>
      {part.answers.length > 0 && (
        <>
          <h4>{sheetWords.youAsked}</h4>
          <Plain>
            {part.answers.map(({ asked, text }) => (
              <li key={asked}>
                <em>{asked}?</em> {text}
              </li>
            ))}
          </Plain>
        </>
      )}
      {part.steps.length > 0 && <h4>{sheetWords.steps}</h4>}
      <Steps>
        {part.steps.map(({ id, when, text, amount, label, mind }, i) => (
          <li key={id}>
            <time>
              {i + 1}. {when}
            </time>
            <div>
              {text}
              {amount !== null && (
                <div>
                  <strong>{sheetWords.howMuch}:</strong> {amount}
                </div>
              )}
              {label.length > 0 && (
                <div>
                  <strong>{sheetWords.byLabel}:</strong> {label.join('; ')}
                </div>
              )}
              {mind.map((one) => (
                <div key={one}>
                  <strong>{sheetWords.mind}:</strong> {one}
                </div>
              ))}
            </div>
          </li>
        ))}
      </Steps>
      <Weeks weeks={part.calendar} />
      <Lines title={sheetWords.doNot} lines={part.doNot} />
      <Lines title={sheetWords.callIn} lines={part.callIn} />
      {part.samples.map(({ title, lines }) => (
        <Lines key={title} title={title} lines={lines} />
      ))}
      <Lines title={sheetWords.expect} lines={part.expect === null ? [] : [part.expect]} />
      <Lines title={sheetWords.keepInMind} lines={part.cautions} />
      <p>
        <strong>{part.lookAgain}</strong>
      </p>
    </section>
  );
}

/** The sheet as it is printed. */
export function SheetPaper({ sheet, large }: { readonly sheet: Sheet; readonly large: boolean }) {
  return (
    <Paper $large={large}>
      <header>
        <strong>
          {sheet.clinic}, {sheet.region}
        </strong>
        <span>
          {sheet.date} · {sheetWords.caseNumber(sheet.caseNumber)}
        </span>
      </header>
      {sheet.parts.map((part, i) => (
        <Part key={i} part={part} />
      ))}
      <footer>
        {sheet.reach !== '' && <p>{sheetWords.reach(sheet.reach)}</p>}
        {sheetWords.disclaimer}
      </footer>
    </Paper>
  );
}
