import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import type { AuditLine } from '../../../contracts/people.ts';
import { accounts } from '../../api/accounts.ts';
import { Button } from '../../kit/Button.tsx';
import { momentInWords } from '../../kit/dates.ts';
import { Notice } from '../../kit/Notice.tsx';
import { ACTION_WORDS, clinicTexts } from '../../texts/clinicTexts.ts';
import { Table } from '../../kit/Table.ts';

const When = styled.td`
  font: 14px/1.5 var(--figures);
  white-space: nowrap;
`;
const What = styled.p`
  padding-bottom: 8px;
  font-size: 14px;
  color: var(--quiet);
`;

/** What was done at this clinic that somebody may have to answer for, the newest first. */
export function AuditList() {
  const [lines, setLines] = useState<readonly AuditLine[]>([]);
  const [next, setNext] = useState<number | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const read = async (before: number | null): Promise<void> => {
    const page = await accounts.audit(before);
    setSaid(page.ok ? null : `${page.error.message} ${page.error.cure}`);
    if (!page.ok) return;
    setLines((known) => (before === null ? page.value.lines : [...known, ...page.value.lines]));
    setNext(page.value.next);
  };
  useEffect(() => void read(null), []);
  return (
    <section aria-labelledby="log">
      <h2 id="log">{clinicTexts.log}</h2>
      <What>{clinicTexts.logWhat}</What>
      {said !== null && <Notice tone="caution">{said}</Notice>}
      <Table>
        <thead>
          <tr>
            <th scope="col">{clinicTexts.when}</th>
            <th scope="col">{clinicTexts.who}</th>
            <th scope="col">{clinicTexts.what}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map(({ seq, at, by, action, subject }) => (
            <tr key={seq}>
              <When>{momentInWords(at)}</When>
              <td>{by === '' ? clinicTexts.byServer : by}</td>
              <td>
                {ACTION_WORDS[action] ?? action}
                {subject !== '' && subject !== by && `: ${subject}`}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      {next !== null && (
        <Button kind="quiet" onPress={() => void read(next)}>
          {clinicTexts.earlier}
        </Button>
      )}
    </section>
  );
}
