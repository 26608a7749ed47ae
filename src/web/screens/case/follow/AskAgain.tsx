import { useState } from 'react';
import { styled } from 'styled-components';
import { howItWent, howItWentMail } from '../../../../application/howItWent.ts';
import { segmentsOf } from '../../../../application/sheet.ts';
import type { CasePlant, CaseRecord } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { Button } from '../../../kit/Button.tsx';
import { copyText } from '../../../kit/copyText.ts';
import { Notice } from '../../../kit/Notice.tsx';
import { saveFile } from '../../../kit/saveFile.ts';
import { useAppSelector } from '../../../store/store.ts';
import { followTexts } from '../../../texts/followTexts.ts';
import { sheetTexts } from '../../../texts/sheetTexts.ts';
import { Quietly } from '../common/layout.ts';

const Area = styled.div`
  border-top: 1px solid var(--hairline);
  padding-top: 10px;
`;
const Draft = styled.p`
  margin: 6px 0;
  padding: 8px 12px;
  border-left: 3px solid var(--teal);
  background: var(--sunk);
  white-space: pre-wrap;
  font-size: 14px;
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 10px;
`;

interface AskAgainProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
}

/** Drafts that ask the enquirer how it went, by letter or by message. */
export function AskAgain({ record, plant, answer }: AskAgainProps) {
  const clinic = useAppSelector((state) => state.desk.clinic);
  const [note, setNote] = useState<string | null>(null);
  const { callBack } = record.consent;
  const asking = howItWent({
    clinic: clinic?.name ?? '',
    enquirer: record.enquirer.name,
    caseNumber: record.number,
    date: plant.date,
    today: clinic?.today ?? plant.date,
    answer: plant.closingAnswer ?? answer,
  });
  const { letter, message } = asking;
  const copy = async (text: string): Promise<void> =>
    setNote((await copyText(text)) ? followTexts.copied : followTexts.notCopied);
  if (callBack === false) return <Notice tone="caution">{followTexts.noCalls}</Notice>;
  const byMessage = record.channel === 'text';
  return (
    <Area>
      <h3>{followTexts.ask}</h3>
      <Quietly>
        {followTexts.askWhat} {callBack === null && followTexts.consentUnknown}
      </Quietly>
      <Draft>{byMessage ? message : letter}</Draft>
      <Ways>
        <Button onPress={() => void copy(byMessage ? message : letter)}>{followTexts.copy}</Button>
        {!byMessage && (
          <Button
            onPress={() => saveFile('how-it-went.eml', 'message/rfc822', howItWentMail(asking))}
          >
            {followTexts.mail}
          </Button>
        )}
        {byMessage && <Quietly>{sheetTexts.segments(message.length, segmentsOf(message))}</Quietly>}
        <span role="status">{note}</span>
      </Ways>
    </Area>
  );
}
