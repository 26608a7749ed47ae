/** @jest-environment jsdom */
import { jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useRef } from 'react';
import { useRestoredFocus } from './useRestoredFocus.ts';
import { useKeys } from './useKeys.ts';
import { useStableValue } from './useStableValue.ts';

afterEach(cleanup);

describe('the last stable value', () => {
  let read: () => string = () => '';
  function Question({ text }: { readonly text: string }) {
    read = useStableValue(text, text);
    return null;
  }
  let now = 0;
  beforeEach(() => {
    now = 1000;
    jest.spyOn(performance, 'now').mockImplementation(() => now);
  });
  afterEach(() => jest.restoreAllMocks());

  it('is the first at once, and each later one half a second after it came', () => {
    const { rerender } = render(<Question text="roots?" />);
    expect(read()).toBe('roots?');
    now += 600;
    rerender(<Question text="beetles?" />);
    expect(read()).toBe('roots?');
    now += 499;
    expect(read()).toBe('roots?');
    now += 1;
    expect(read()).toBe('beetles?');
  });

  it('is not one that was only passed by', () => {
    const { rerender } = render(<Question text="roots?" />);
    now += 600;
    rerender(<Question text="beetles?" />);
    now += 100;
    rerender(<Question text="slime?" />);
    expect(read()).toBe('roots?');
  });
});

describe('the focus', () => {
  interface PageProps {
    readonly questions: readonly string[];
  }
  function Page({ questions }: PageProps) {
    const page = useRef<HTMLDivElement>(null);
    useRestoredFocus(page, () => document.getElementById('words'));
    return (
      <div ref={page}>
        <input id="words" aria-label="words" />
        <section>
          {questions.map((one) => (
            <button key={one}>{one}</button>
          ))}
        </section>
      </div>
    );
  }
  const answered = async (rest: readonly string[]): Promise<Element | null> => {
    const { rerender } = render(<Page questions={['roots?', ...rest]} />);
    screen.getByText('roots?').focus();
    rerender(<Page questions={rest} />);
    // Mutation observers run in a task of their own.
    await new Promise((done) => setTimeout(done, 0));
    return document.activeElement;
  };

  it('goes to what stands in the same part', async () => {
    expect(await answered(['beetles?', 'slime?'])).toBe(screen.getByText('beetles?'));
  });

  it('goes home where nothing of the part is left to press', async () => {
    expect(await answered([])).toBe(screen.getByLabelText('words'));
  });
});

describe('a key', () => {
  const pressed = jest.fn();
  function Page({ dialog }: { readonly dialog: boolean }) {
    useKeys({ 'alt+n': pressed, n: pressed });
    return (
      <>
        <input aria-label="words" />
        {dialog && <div role="dialog" />}
      </>
    );
  }
  beforeEach(() => void pressed.mockClear());
  const ALT_N = { key: 'n', code: 'KeyN', altKey: true };

  it('counts once however long it is held', () => {
    render(<Page dialog={false} />);
    fireEvent.keyDown(document.body, ALT_N);
    for (let i = 0; i < 5; i++) fireEvent.keyDown(document.body, { ...ALT_N, repeat: true });
    expect(pressed).toHaveBeenCalledTimes(1);
  });

  it('rests under a dialog, and a letter while something is typed', () => {
    const { rerender } = render(<Page dialog />);
    fireEvent.keyDown(document.body, ALT_N);
    rerender(<Page dialog={false} />);
    fireEvent.keyDown(screen.getByLabelText('words'), { key: 'n', code: 'KeyN' });
    expect(pressed).not.toHaveBeenCalled();
    fireEvent.keyDown(screen.getByLabelText('words'), ALT_N);
    expect(pressed).toHaveBeenCalledTimes(1);
  });
});
