import { seasonTexts } from '../texts/seasonTexts.ts';
import { useState } from 'react';
import type { Result } from '../../core/util/result.ts';
import { Button } from '../kit/Button.tsx';
import { Notice } from '../kit/Notice.tsx';
import { saveFile } from '../kit/saveFile.ts';

interface CalendarButtonProps {
  readonly fileName: string;
  /** Makes the file when it is wanted; the failure is a text for the user. */
  readonly make: () => Result<string, string>;
}

/** Saves dates as a calendar file. */
export function CalendarButton({ fileName, make }: CalendarButtonProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const save = (): void => {
    const file = make();
    if (file.ok) saveFile(fileName, 'text/calendar', file.value);
    setProblem(file.ok ? null : file.error);
  };
  return (
    <>
      <Button kind="quiet" onPress={save}>
        {seasonTexts.datesAsACalendarFile}
      </Button>
      {problem !== null && <Notice tone="caution">{problem}</Notice>}
    </>
  );
}
