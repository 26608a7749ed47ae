import { caseTexts } from '../../texts/caseTexts.ts';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import { styled } from 'styled-components';
import { PARTS, type Part } from '../../../core/schema/finding.ts';
import { drawPlate } from '../../plates/drawPlate.ts';
import { PlateShapes } from '../../plates/PlateShapes.tsx';
import { readPlate } from '../../../core/schema/plate.ts';
import { PART_WORDS } from './partWords.ts';

const Picture = styled.div`
  position: relative;
  width: 216px;
  & > svg {
    display: block;
    background: var(--plate-ground);
    border: 1px solid var(--hairline);
    border-radius: 3px;
  }
`;
const Spot = styled(ToggleButton)`
  position: absolute;
  transform: translate(-50%, -50%);
  padding: 1px 7px;
  border: 1px solid var(--teal);
  border-radius: 3px;
  background: var(--surface);
  color: var(--teal);
  font: inherit;
  font-size: 13px;
  white-space: nowrap;
  cursor: pointer;
  &[data-selected] {
    background: var(--teal);
    color: var(--on-teal);
  }
`;

/** Where the word for each part stands on the picture, in its units of 216 by 380. */
const PLACES: Readonly<Record<Part, readonly [number, number]>> = {
  flower: [52, 40],
  leaf: [166, 66],
  needle: [170, 104],
  fruit: [50, 112],
  stem: [108, 160],
  trunk: [108, 198],
  turf: [34, 236],
  soil: [164, 246],
  root: [108, 276],
  bulb: [40, 276],
  whole: [50, 330],
  around: [158, 330],
  history: [108, 360],
};

const DRAWN: readonly (readonly [plate: string, x: number, y: number, size: number])[] = [
  ['tree', 38, 89, 140],
  ['flower', 12, 2, 62],
  ['fruit', 22, 78, 44],
  ['leaf', 142, 16, 60],
  ['needles', 154, 96, 56],
  ['root', 58, 188, 104],
  ['bulb', 8, 222, 56],
];

/** The drawings, made once: the picture is shown anew at every letter that is typed beside it. */
const PLACED = DRAWN.map(([text, x, y, size]) => {
  const reading = readPlate(text);
  return { text, x, y, size, shapes: reading.ok ? drawPlate(reading.value) : [] };
});

function Scenery() {
  return (
    <svg width={216} height={380} viewBox="0 0 216 380" aria-hidden>
      <path d="M0 218H216V300H0Z" fill="#6b5642" />
      {PLACED.map(({ text, x, y, size, shapes }) => (
        <g key={text} transform={`translate(${x} ${y}) scale(${size / 100})`}>
          <PlateShapes shapes={shapes} />
        </g>
      ))}
      <path d="M0 217H216V223H0Z" fill="#5d9157" />
    </svg>
  );
}

interface PlantPictureProps {
  readonly part: Part | null;
  readonly onPart: (part: Part | null) => void;
}

/** A plant to point at: each part narrows the list to what is seen there. */
export function PlantPicture({ part, onPart }: PlantPictureProps) {
  return (
    <ToggleButtonGroup
      aria-label={caseTexts.partOfThePlant}
      selectionMode="single"
      selectedKeys={part === null ? [] : [part]}
      onSelectionChange={(keys) => onPart(PARTS.find((one) => keys.has(one)) ?? null)}
    >
      <Picture>
        <Scenery />
        {PARTS.map((one) => {
          const [left, top] = PLACES[one];
          return (
            <Spot key={one} id={one} style={{ left, top }}>
              {PART_WORDS[one]}
            </Spot>
          );
        })}
      </Picture>
    </ToggleButtonGroup>
  );
}
