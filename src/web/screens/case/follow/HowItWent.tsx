import { useState } from 'react';
import { styled } from 'styled-components';
import type { CasePlant, CaseRecord } from '../../../../contracts/cases.ts';
import {
  FOLLOWED,
  MAX_FOLLOW_UP_NOTE,
  RESULTS,
  type Followed,
  type FollowUpResult,
} from '../../../../contracts/followUps.ts';
import { storableText } from '../../../../contracts/storableText.ts';
import { Button } from '../../../kit/Button.tsx';
import { shortDate } from '../../../kit/dates.ts';
import { CharactersLeft, Choices, Paper } from '../../../kit/fields.tsx';
import { useDraft } from '../../../kit/useDraft.ts';
import { useAppSelector } from '../../../store/store.ts';
import { followTexts } from '../../../texts/followTexts.ts';
import { useRecordEvent } from '../common/useCase.ts';

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  padding-bottom: 8px;
`;
const Note = styled(Paper)`
  min-height: 68px;
`;
const Ways = styled.div`
  display: flex;
  align-items: baseline;
  gap: 12px;
  padding: 6px 0 14px;
`;

const FOLLOWED_CHOICES = FOLLOWED.map((id) => ({ id, text: followTexts.followed[id] }));
const RESULT_CHOICES = RESULTS.map((id) => ({ id, text: followTexts.results[id] }));

interface HowItWentProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
}

/** What was heard after the advice: whether it was followed, and how the plant does. */
export function HowItWent({ record, plant }: HowItWentProps) {
  const happen = useRecordEvent();
  const today = useAppSelector((state) => state.desk.clinic?.today ?? plant.date);
  const { id: plantId, followUp } = plant;
  const draft = useDraft(`follow-up.${record.id}.${plantId}`, () => followUp?.note ?? '');
  const [followed, setFollowed] = useState<Followed | ''>(followUp?.followed ?? '');
  const [result, setResult] = useState<FollowUpResult | ''>(followUp?.result ?? '');
  const [done, setDone] = useState<string | null>(null);
  const isDue = record.callBackOn !== null && record.callBackOn <= today;
  const keep = (): void => {
    if (followed === '' || result === '') return;
    const heard = { on: today, followed, result, note: draft.text };
    if (happen({ kind: 'follow-up-set', plantId, followUp: heard }) !== null) return;
    draft.forget();
    if (isDue) happen({ kind: 'call-back-set', on: null });
    const callBack = isDue ? ` ${followTexts.callBackDone}` : '';
    setDone(`${followTexts.kept(shortDate(today, today))}${callBack}`);
  };
  const takeBack = (): void => {
    happen({ kind: 'follow-up-set', plantId, followUp: null });
    setDone(null);
  };
  return (
    <>
      <h3>{followTexts.went}</h3>
      <Two>
        <Choices<Followed | ''>
          label={followTexts.followedTitle}
          value={followed}
          choices={FOLLOWED_CHOICES}
          onChange={setFollowed}
        />
        <Choices<FollowUpResult | ''>
          label={followTexts.resultTitle}
          value={result}
          choices={RESULT_CHOICES}
          onChange={setResult}
        />
      </Two>
      <Note
        aria-label={followTexts.note}
        placeholder={followTexts.note}
        maxLength={MAX_FOLLOW_UP_NOTE}
        value={draft.text}
        onChange={({ target }) =>
          draft.take(storableText(target.value.slice(0, MAX_FOLLOW_UP_NOTE)))
        }
      />
      <CharactersLeft used={draft.text.length} max={MAX_FOLLOW_UP_NOTE} />
      <Ways>
        <Button kind="main" isDisabled={followed === '' || result === ''} onPress={keep}>
          {followUp ? followTexts.change : followTexts.keep}
        </Button>
        {followUp && (
          <Button kind="quiet" onPress={takeBack}>
            {followTexts.takeFollowUpBack}
          </Button>
        )}
        <span role="status">
          {done ?? (followUp && followTexts.kept(shortDate(followUp.on, today)))}
        </span>
      </Ways>
    </>
  );
}
