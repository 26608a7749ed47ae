import { useMemo } from 'react';
import type { LibraryIndex } from '../library/libraryIndex.ts';
import { chooserTexts } from '../texts/chooserTexts.ts';
import { NameChooser } from './NameChooser.tsx';

interface CauseChooserProps {
  /** Null until the library is there. */
  readonly shelf: LibraryIndex | null;
  readonly onChoose: (cause: string) => void;
}

/** Finds a cause of the library by its common, other or scientific name. */
export function CauseChooser({ shelf, onChoose }: CauseChooserProps) {
  const causes = useMemo(
    () =>
      (shelf?.library.causes ?? []).map(({ id, name, scientific = null, aliases }) => ({
        id,
        name,
        scientific,
        names: aliases,
      })),
    [shelf],
  );
  return (
    <NameChooser
      label={chooserTexts.otherCause}
      all={chooserTexts.causes}
      none={chooserTexts.noCauseOfThatName}
      choices={causes}
      onlyTyped
      onChoose={onChoose}
    />
  );
}
