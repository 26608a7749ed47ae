import { useMemo } from 'react';
import { styled } from 'styled-components';
import { readPlate } from '../../core/schema/plate.ts';
import { drawPlate } from './drawPlate.ts';
import { PlateShapes } from './PlateShapes.tsx';

const Frame = styled.svg`
  flex: none;
  background: var(--plate-ground);
  border: 1px solid var(--hairline);
  border-radius: 2px;
`;

interface PlateFigureProps {
  /** Parameters as they stand in the library. */
  readonly plate: string;
  /** What it shows, for those who cannot see it; left out where the same words stand beside it. */
  readonly label?: string;
  readonly pixels: number;
}

/** The drawing of a finding; nothing where words say it all. */
export function PlateFigure({ plate, label, pixels }: PlateFigureProps) {
  const shapes = useMemo(() => {
    const reading = plate === 'none' ? null : readPlate(plate);
    return reading?.ok ? drawPlate(reading.value) : null;
  }, [plate]);
  if (!shapes) return null;
  return (
    <Frame
      viewBox="0 0 100 100"
      width={pixels}
      height={pixels}
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      <PlateShapes shapes={shapes} />
    </Frame>
  );
}
