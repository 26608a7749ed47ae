import { learnedTexts } from '../../texts/learnedTexts.ts';

const WIDTH = 260;
const HEIGHT = 20;
const EDGE = 7;
const MIDDLE = HEIGHT / 2;

const at = (share: number): number => EDGE + share * (WIDTH - 2 * EDGE);
const percent = (share: number): number => Math.round(100 * share);

interface SaidTrueLineProps {
  readonly said: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/** A said value as a ring and a true share as a dot on its interval, on one scale from 0 to 1. */
export function SaidTrueLine({ said, share, low, high }: SaidTrueLineProps) {
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={learnedTexts.rowPicture(
        percent(said),
        percent(share),
        percent(low),
        percent(high),
      )}
    >
      <line x1={at(0)} x2={at(1)} y1={MIDDLE} y2={MIDDLE} stroke="var(--hairline)" />
      <line
        x1={at(low)}
        x2={at(high)}
        y1={MIDDLE}
        y2={MIDDLE}
        stroke="var(--teal)"
        strokeWidth={3}
      />
      <circle cx={at(share)} cy={MIDDLE} r={5} fill="var(--teal)" />
      <circle cx={at(said)} cy={MIDDLE} r={6} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
    </svg>
  );
}
