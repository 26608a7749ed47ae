/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import { act, cleanup, render } from '@testing-library/react';
import { useCalmValue } from './useCalmValue.ts';

interface Asked {
  readonly value: string | null;
  readonly words: string;
  readonly about?: string;
}

const seen: (string | null)[] = [];
function Question({ value, words, about = 'rose' }: Asked) {
  seen.push(useCalmValue(value, words, about));
  return null;
}

let show: (asked: Asked) => string | null;
const wait = (milliseconds: number): string | null => {
  act(() => jest.advanceTimersByTime(milliseconds));
  return seen.at(-1) ?? null;
};
beforeEach(() => {
  jest.useFakeTimers();
  const { rerender } = render(<Question value="spots?" words="My rose" />);
  show = (asked) => {
    rerender(<Question {...asked} />);
    return seen.at(-1) ?? null;
  };
});
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});

describe('a calm value', () => {
  it('stays while words are typed, and moves when they rest', () => {
    expect(show({ value: 'spots?', words: 'My rose h' })).toBe('spots?');
    for (const [i, words] of ['My rose ha', 'My rose has', 'My rose has b'].entries()) {
      expect(show({ value: `${i}`, words })).toBe('spots?');
      expect(wait(400)).toBe('spots?');
    }
    expect(wait(100)).toBe('2');
  });

  it('moves at the end of a sentence, with an answer, and to another plant at once', () => {
    expect(show({ value: 'holes?', words: 'My rose has black spots.' })).toBe('holes?');
    expect(show({ value: 'soil?', words: 'My rose has black spots.' })).toBe('soil?');
    expect(show({ value: 'light?', words: 'Fern', about: 'fern' })).toBe('light?');
  });

  it('shows the first answer at once, and none as soon as there is none', () => {
    expect(show({ value: null, words: '' })).toBeNull();
    expect(show({ value: 'holes?', words: 'Fern h' })).toBe('holes?');
  });

  it('is the last one when several came in one pause, each late for its words', () => {
    show({ value: 'spots?', words: 'My rose has' });
    show({ value: 'spots?', words: 'My rose has b' });
    expect(show({ value: 'late?', words: 'My rose has b' })).toBe('spots?');
    expect(wait(500)).toBe('late?');
    expect(show({ value: 'later?', words: 'My rose has b' })).toBe('later?');
  });
});
