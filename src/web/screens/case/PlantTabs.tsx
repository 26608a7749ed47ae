import { styled } from 'styled-components';
import type { CaseRecord } from '../../../contracts/cases.ts';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';

const Bar = styled.nav`
  display: flex;
  align-items: center;
  gap: 2px;
  padding: 0 12px;
  background: var(--ground);
  border-bottom: 1px solid var(--hairline);
  & h1 {
    font-size: 16px;
    padding-right: 8px;
  }
`;
const Tab = styled(Button)`
  border-radius: 0;
  border-bottom: 3px solid transparent;
  &[aria-current='page'] {
    border-bottom-color: var(--teal);
    font-weight: 600;
  }
`;

interface PlantTabsProps {
  readonly record: CaseRecord;
  readonly active: string;
  readonly onShow: (plantId: string) => void;
  readonly onAdd: () => void;
}

function titleOf(words: string, plant: string | null, position: number): string {
  const start = words.split(/\s+/).slice(0, 4).join(' ');
  return plant ?? (start === '' ? `Plant ${position + 1}` : start);
}

/** The plants of one call, each a tab. */
export function PlantTabs({ record, active, onShow, onAdd }: PlantTabsProps) {
  return (
    <Bar aria-label="Plants of this call">
      <h1>Case {record.number}</h1>
      {record.plants.map(({ id, words, plant }, position) => (
        <Tab
          key={id}
          kind="quiet"
          aria-current={id === active ? 'page' : 'false'}
          onPress={() => onShow(id)}
        >
          {titleOf(words, plant, position)}
        </Tab>
      ))}
      <Button kind="quiet" onPress={onAdd}>
        Another plant <Key>Alt P</Key>
      </Button>
    </Bar>
  );
}
