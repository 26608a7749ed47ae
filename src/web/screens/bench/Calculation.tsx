import { Fragment, useId } from 'react';
import type { Calculator, Input } from '../../../core/measures/calculator.ts';
import { measureFaultText, readFaultText, workedText } from '../../../wording/measures.ts';
import { CHOICE_WORDS, MEASURE_WORDS } from '../../../wording/measureWords.ts';
import { Blank as BlankBox, Choice, Comes, Fault, Sentence, Sheet } from './parts.ts';
import { benchTexts } from '../../texts/benchTexts.ts';
import { useSpelling } from '../../store/useSpelling.ts';
import { RestsOn } from './RestsOn.tsx';
import { piecesOf, reckon, type Reckoned, type Typed } from './blanks.ts';

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
      <Choice
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
      </Choice>
    );
  return (
    <BlankBox
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
  const spell = useSpelling();
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
      <h1>{spell(words.name)}</h1>
      <Sentence>
        {piecesOf(words.asks).map((piece) => {
          if ('text' in piece) return <Fragment key={piece.text}>{spell(piece.text)}</Fragment>;
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
            if ('text' in piece) return <Fragment key={i}>{spell(piece.text)}</Fragment>;
            const one = results.find(({ id }) => id === piece.blank);
            return <strong key={i}>{one ? spell(workedText(one)) : ''}</strong>;
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
      <RestsOn onStartOver={onStartOver}>{spell(words.rests)}</RestsOn>
    </Sheet>
  );
}
