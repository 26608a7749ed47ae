import { Fragment, useId } from 'react';
import { styled } from 'styled-components';
import type { Calculator, Input } from '../../../core/measures/calculator.ts';
import {
  CHOICE_WORDS,
  measureFaultText,
  MEASURE_WORDS,
  readFaultText,
  workedText,
} from '../../../wording/measures.ts';
import { Button } from '../../kit/Button.tsx';
import { benchTexts } from '../../texts/benchTexts.ts';
import { piecesOf, reckon, type Reckoned, type Typed } from './blanks.ts';

const Sheet = styled.article`
  display: grid;
  gap: 22px;
  align-content: start;
  padding: 22px 32px 40px;
  background: var(--surface);
  overflow: auto;
  & h1 {
    font-size: 24px;
  }
  & h2 {
    font-size: 14px;
    color: var(--quiet);
  }
`;
const Sentence = styled.p`
  max-width: 62ch;
  font-size: 19px;
  line-height: 2.1;
`;
const Comes = styled.div`
  max-width: 62ch;
  padding: 14px 0;
  border-top: 2px solid var(--ink);
  border-bottom: 1px solid var(--hairline);
  font-size: 19px;
  line-height: 1.6;
  & strong {
    font-weight: 600;
    font-variant-numeric: tabular-nums;
  }
`;
const Rests = styled.div`
  max-width: 76ch;
  & p {
    font-size: 15px;
  }
`;
const box = `
  padding: 2px 6px;
  border: 0;
  border-bottom: 2px solid var(--teal);
  border-radius: 3px 3px 0 0;
  background: var(--teal-wash);
  color: var(--ink);
  font: inherit;
  line-height: 1.4;
`;
const Box = styled.input`
  ${box}
  width: ${({ size }) => (size ?? 6) + 1}ch;
  &[aria-invalid='true'] {
    border-bottom-color: var(--ochre);
    background: var(--ochre-wash);
  }
`;
const Select = styled.select`
  ${box}
`;
const Fault = styled.p`
  color: var(--ochre);
  font-size: 15px;
`;

const isBlank = (name: string): name is keyof typeof benchTexts.blanks => name in benchTexts.blanks;
const labelOf = (name: string): string => (isBlank(name) ? benchTexts.blanks[name] : name);

interface BlankProps {
  readonly name: string;
  readonly input: Input;
  readonly typed: string;
  readonly faultId: string | undefined;
  readonly onType: (name: string, text: string) => void;
}

const LEAST_WIDTH = 4;

function Blank({ name, input, typed, faultId, onType }: BlankProps) {
  const label = labelOf(name);
  if (input.kind === 'choice')
    return (
      <Select
        aria-label={label}
        value={typed}
        onChange={({ target }) => {
          onType(name, target.value);
        }}
      >
        {input.choices.map((one) => (
          <option key={one} value={one}>
            {CHOICE_WORDS[one] ?? one}
          </option>
        ))}
      </Select>
    );
  return (
    <Box
      aria-label={label}
      aria-invalid={faultId !== undefined}
      aria-describedby={faultId}
      autoComplete="off"
      size={Math.max(LEAST_WIDTH, typed.length)}
      maxLength={40}
      value={typed}
      onChange={({ target }) => {
        onType(name, target.value);
      }}
    />
  );
}

function faultWords(input: Input, fault: Reckoned['faults'][string]): string | null {
  if (fault.code === 'no-number' || fault.code === 'unknown-unit')
    return input.kind === 'number' ? readFaultText(fault, input.dimension) : null;
  return measureFaultText(fault);
}

interface CalculationProps {
  readonly calculator: Calculator;
  readonly typed: Typed;
  readonly isUs: boolean;
  readonly onType: (name: string, text: string) => void;
  readonly onStartOver: () => void;
}

/** One calculator: a sentence with blanks, what it comes to, and what that rests on. */
export function Calculation({ calculator, typed, isUs, onType, onStartOver }: CalculationProps) {
  const faultId = useId();
  const words = MEASURE_WORDS[calculator.id];
  if (!words) return null;
  const { results, faults } = reckon(calculator, typed, isUs);
  const said = Object.entries(faults).flatMap(([name, fault]) => {
    const input = calculator.inputs[name];
    const text = input ? faultWords(input, fault) : null;
    return text === null ? [] : [{ name, text: `${labelOf(name)}: ${text}` }];
  });
  const isFaulty = (name: string): boolean => said.some((one) => one.name === name);
  return (
    <Sheet>
      <h1>{words.name}</h1>
      <Sentence>
        {piecesOf(words.asks).map((piece) => {
          if ('text' in piece) return <Fragment key={piece.text}>{piece.text}</Fragment>;
          const input = calculator.inputs[piece.blank];
          return (
            input && (
              <Blank
                key={piece.blank}
                name={piece.blank}
                input={input}
                typed={typed[piece.blank] ?? ''}
                faultId={isFaulty(piece.blank) ? faultId : undefined}
                onType={onType}
              />
            )
          );
        })}
      </Sentence>
      <Comes aria-live="polite">
        {results ? (
          piecesOf(words.gives).map((piece, i) => {
            if ('text' in piece) return <Fragment key={i}>{piece.text}</Fragment>;
            const one = results.find(({ id }) => id === piece.blank);
            return <strong key={i}>{one ? workedText(one) : ''}</strong>;
          })
        ) : (
          <div id={faultId}>
            {said.length === 0 ? (
              <p>{benchTexts.fillIn}</p>
            ) : (
              said.map(({ name, text }) => <Fault key={name}>{text}</Fault>)
            )}
          </div>
        )}
      </Comes>
      <Rests>
        <h2>{benchTexts.restsOn}</h2>
        <p>{words.rests}</p>
      </Rests>
      <div>
        <Button kind="quiet" onPress={onStartOver}>
          {benchTexts.startOver}
        </Button>
      </div>
    </Sheet>
  );
}
