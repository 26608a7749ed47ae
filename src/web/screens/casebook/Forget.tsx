import { useState } from 'react';
import { styled } from 'styled-components';
import type { CaseRecord } from '../../../contracts/cases.ts';
import type { Forgetting } from '../../../contracts/forgetting.ts';
import { api } from '../../api/api.ts';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { casebookTexts } from '../../texts/casebookTexts.ts';

const Area = styled.section`
  display: grid;
  gap: 8px;
  justify-items: start;
  max-width: 860px;
  padding-top: 18px;
  & h2 {
    font-size: 16px;
  }
  @media print {
    display: none;
  }
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
`;

interface ForgetProps {
  readonly record: CaseRecord;
  readonly onForgotten: () => void;
}

/** Takes personal data out of a case, after asking once more: it cannot be brought back. */
export function Forget({ record, onForgotten }: ForgetProps) {
  const [asked, setAsked] = useState<Forgetting | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const forget = async (how: Forgetting): Promise<void> => {
    const done = await api.forget(record.id, how);
    setAsked(null);
    setSaid(done.ok ? casebookTexts.forgotten : `${done.error.message} ${done.error.cure}`);
    if (done.ok) onForgotten();
  };
  return (
    <Area aria-labelledby="forget">
      <h2 id="forget">{casebookTexts.personal}</h2>
      <p>{casebookTexts.forgetWhat}</p>
      {asked === null ? (
        <Ways>
          <Button onPress={() => setAsked('names')}>{casebookTexts.forgetNames}</Button>
          <Button onPress={() => setAsked('all')}>{casebookTexts.forgetAll}</Button>
        </Ways>
      ) : (
        <Notice tone="caution">
          {casebookTexts.forgetSure[asked]}{' '}
          <Button kind="main" onPress={() => void forget(asked)}>
            {casebookTexts.forgetYes}
          </Button>{' '}
          <Button onPress={() => setAsked(null)}>{casebookTexts.forgetNo}</Button>
        </Notice>
      )}
      <span role="status">{said}</span>
    </Area>
  );
}
