import type { CasePlant, CaseRecord } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { useLibrary } from '../../../library/useLibrary.ts';
import { followTexts } from '../../../texts/followTexts.ts';
import { Halves } from '../common/layout.ts';
import { WidePanel } from '../common/WidePanel.tsx';
import { AskAgain } from './AskAgain.tsx';
import { HowItWent } from './HowItWent.tsx';
import { LearningSwitch } from './LearningSwitch.tsx';
import { ProvedToBe } from './ProvedToBe.tsx';

interface FollowPanelProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
  readonly answer: ConsultResponse | null;
  readonly onClose: () => void;
}

/** What came of a case: what it proved to be, how it went, and asking for it. */
export function FollowPanel({ record, plant, answer, onClose }: FollowPanelProps) {
  const { reading } = useLibrary();
  return (
    <WidePanel title={followTexts.title} chord="Alt O" onClose={onClose}>
      <Halves>
        <section>
          <ProvedToBe plant={plant} answer={answer} shelf={reading?.shelf ?? null} />
          <LearningSwitch />
        </section>
        <section>
          <HowItWent record={record} plant={plant} key={plant.id} />
          <AskAgain record={record} plant={plant} answer={answer} />
        </section>
      </Halves>
    </WidePanel>
  );
}
