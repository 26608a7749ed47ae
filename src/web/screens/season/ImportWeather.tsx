import { seasonTexts } from '../../texts/seasonTexts.ts';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { styled } from 'styled-components';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { api } from '../../api/api.ts';
import { dayAndMonth } from '../../kit/dates.ts';

const Help = styled.p`
  font-size: 14px;
  max-width: 46ch;
  padding-bottom: 8px;
`;

interface ImportWeatherProps {
  /** Called when days were taken in. */
  readonly onImported: () => void;
}

/** Takes the file of the clinic's own station in, or says line by line what to mend. */
export function ImportWeather({ onImported }: ImportWeatherProps) {
  const [outcome, setOutcome] = useState<{ readonly bad: boolean; readonly text: string } | null>(
    null,
  );
  const take = async (files: FileList | null): Promise<void> => {
    const file = files?.[0];
    if (!file) return;
    const answer = await api.importWeather(await file.text());
    if (!answer.ok) {
      const { message, cure } = answer.error;
      setOutcome({ bad: true, text: `${message} ${cure}` });
      return;
    }
    const { days, first, last, missing } = answer.value;
    const gaps =
      missing.length === 0 ? seasonTexts.noneIsMissing : seasonTexts.areMissing(missing.length);
    setOutcome({
      bad: false,
      text: seasonTexts.daysTakenIn(days, dayAndMonth(first), dayAndMonth(last), gaps),
    });
    onImported();
  };
  return (
    <>
      <Help>{seasonTexts.csvFormat}</Help>
      <FileTrigger acceptedFileTypes={['.csv', 'text/csv']} onSelect={(files) => void take(files)}>
        <Button>{seasonTexts.chooseAFile}</Button>
      </FileTrigger>
      {outcome && <Notice tone={outcome.bad ? 'caution' : 'calm'}>{outcome.text}</Notice>}
    </>
  );
}
