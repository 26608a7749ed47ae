import { Button } from '../../kit/Button.tsx';
import { benchTexts } from '../../texts/benchTexts.ts';
import { Rests } from './parts.ts';

interface RestsOnProps {
  readonly children: string;
  readonly onStartOver: () => void;
}

/** What a page of the Bench rests on, and the way to begin again. */
export function RestsOn({ children, onStartOver }: RestsOnProps) {
  return (
    <>
      <Rests>
        <h2>{benchTexts.restsOn}</h2>
        <p>{children}</p>
      </Rests>
      <div>
        <Button kind="quiet" onPress={onStartOver}>
          {benchTexts.startOver}
        </Button>
      </div>
    </>
  );
}
