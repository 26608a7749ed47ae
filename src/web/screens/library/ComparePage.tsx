import { keysOf } from '../../../core/util/typedKeys.ts';
import { libraryTexts } from '../../texts/libraryTexts.ts';
import { Link, useOutletContext, useParams } from 'react-router';
import { styled } from 'styled-components';
import { FREQUENCY, type Frequency } from '../../../core/schema/scale.ts';
import type { Cause } from '../../../core/schema/cause.ts';
import type { FindingId } from '../../../core/schema/common.ts';
import { PlateFigure } from '../../plates/PlateFigure.tsx';
import { Missing } from './CausePage.tsx';
import { Facts, Quiet, ShareBar, Sheet } from './parts.tsx';
import type { LibraryReading } from '../../library/useLibrary.ts';
import { harmInWords, spaced } from './words.ts';
import { YearStrip } from './YearStrip.tsx';
import { midSentence } from '../../../wording/midSentence.ts';

const Pair = styled(Facts)`
  table-layout: fixed;
  & tr[data-tells='yes'] th {
    font-weight: 600;
  }
  & tr[data-tells='yes'] th::before {
    content: '≠ ';
    float: left;
    margin-right: 6px;
    color: var(--teal);
  }
  & td {
    border-left: 1px solid var(--hairline);
    padding-left: 12px;
  }
`;

const Seen = styled.div`
  display: flex;
  gap: 10px;
  align-items: center;
`;

/** So much more often, as a probability, makes a finding tell two causes apart. */
const TELLS = 0.35;

const wordFor = (cause: Cause, id: FindingId): Frequency => cause.findings[id] ?? 'never';
const share = (cause: Cause, id: FindingId): number => FREQUENCY[wordFor(cause, id)];

/** Two causes side by side: what tells them apart first, then what they share. */
export function ComparePage() {
  const { shelf, almanac, today } = useOutletContext<LibraryReading>();
  const { first, second } = useParams();
  const [a, b] = [shelf.causes.get(first ?? ''), shelf.causes.get(second ?? '')];
  if (!a || !b) return <Missing />;
  const findings = new Map(shelf.library.findings.map((one) => [one.id, one]));
  const ids = [...new Set([...keysOf(a.findings), ...keysOf(b.findings)])];
  const apart = (id: FindingId): number => Math.abs(share(a, id) - share(b, id));
  const rows = ids
    .filter((id) => Math.max(share(a, id), share(b, id)) > 0)
    .sort((x, y) => apart(y) - apart(x));
  const tells = [
    ...a.lookAlikes.filter(({ id }) => id === b.id),
    ...b.lookAlikes.filter(({ id }) => id === a.id),
  ];
  return (
    <Sheet>
      <h1>
        {a.name} {libraryTexts.or} {midSentence(b.name)}
      </h1>
      {tells.map(({ tells: text }) => (
        <p key={text}>{text}</p>
      ))}
      <Pair>
        <thead>
          <tr>
            <th scope="col">{libraryTexts.whatIsSeen}</th>
            {[a, b].map(({ id, name }) => (
              <th key={id} scope="col">
                <Link to={`/library/cause/${id}`}>{name}</Link>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((id) => (
            <tr key={id} data-tells={apart(id) >= TELLS ? 'yes' : 'no'}>
              <th scope="row">
                <Seen>
                  <PlateFigure plate={findings.get(id)?.plate ?? 'none'} pixels={44} />
                  <span>{findings.get(id)?.label ?? id}</span>
                </Seen>
              </th>
              {[a, b].map((cause) => (
                <td key={cause.id}>
                  <ShareBar share={share(cause, id)} />
                  {spaced(wordFor(cause, id))}
                </td>
              ))}
            </tr>
          ))}
          <tr data-tells="no">
            <th scope="row">{libraryTexts.harmIfLeft}</th>
            {[a, b].map((cause) => (
              <td key={cause.id}>{harmInWords(cause.harm)}</td>
            ))}
          </tr>
        </tbody>
      </Pair>
      <YearStrip
        rows={[a, b].map((cause) => ({ name: cause.name, rule: cause.seen, kind: 'cause' }))}
        almanac={almanac}
        today={today}
      />
      <Quiet>{libraryTexts.differenceMark}</Quiet>
    </Sheet>
  );
}
