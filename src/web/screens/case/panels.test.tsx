/** @jest-environment jsdom */
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { OPENED_CASE } from '../../../test/caseRecord.ts';
import { showPanel, spottedFern } from '../../../test/casePanel.tsx';
import { AdvicePanel } from './AdvicePanel.tsx';
import { AskPanel } from './AskPanel.tsx';
import { CaseNotes } from './CaseNotes.tsx';
import { CausesPanel } from './CausesPanel.tsx';
import { HeardPanel } from './HeardPanel.tsx';
import { ProvedToBe } from './follow/ProvedToBe.tsx';
import { PlanSteps } from './plan/PlanSteps.tsx';
import type { CasePlant } from '../../../contracts/cases.ts';
import type { Sample } from '../../../contracts/samples.ts';
import { SampleEntry } from './samples/SampleEntry.tsx';
import { SoundingLine } from './SoundingLine.tsx';

afterEach(cleanup);

const ignore = (): void => undefined;
const opened = (words: string, change = {}) => {
  const about = spottedFern(words, change);
  return { ...about, record: { plants: [about.plant] } };
};

describe('Ask next', () => {
  it('records the answer to the question that is asked first', async () => {
    const { plant, answer, record } = opened('there are spots');
    const panel = showPanel(<AskPanel plant={plant} answer={answer} />, record);
    const [first] = answer.ask;
    await userEvent.click(screen.getByRole('button', { name: `Yes: ${first?.question ?? ''}` }));
    expect(panel.record().plants[0]?.answers).toMatchObject([
      { finding: first?.finding, value: true },
    ]);
  });

  it('takes the keys for the first question only', async () => {
    const { plant, answer, record } = opened('there are spots');
    const panel = showPanel(<AskPanel plant={plant} answer={answer} />, record);
    await userEvent.keyboard('{Alt>}n{/Alt}');
    expect(panel.record().plants[0]?.answers).toMatchObject([
      { finding: answer.ask[0]?.finding, value: false },
    ]);
  });

  it('puts the open question alone', () => {
    const { plant, answer, record } = opened('there are spots');
    const [first] = answer.ask;
    if (!first) throw new Error('nothing is asked');
    const change = { ...first, finding: 'change', question: 'What do they see?' };
    const open = { ...answer, ask: [change, first] };
    showPanel(<AskPanel plant={plant} answer={open} />, record);
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    expect(screen.getByText('What do they see?')).toBeTruthy();
  });

  it('asks nothing where the answer is settled, and says why', () => {
    const { plant, answer, record } = opened('there are spots');
    const settled = {
      ...answer,
      settled: true,
      settledWhy: { reason: 'It is clear.', sample: 'A frond' },
    };
    showPanel(<AskPanel plant={plant} answer={settled} />, record);
    expect(screen.queryAllByRole('button')).toEqual([]);
    expect(screen.getByText('It is clear.')).toBeTruthy();
    expect(screen.getByText(/A frond/)).toBeTruthy();
  });

  it('asks how much is affected where the cause is settled', async () => {
    const { plant, answer, record } = opened('there are spots');
    const [first] = answer.ask;
    if (!first) throw new Error('nothing is asked');
    const choices = [{ finding: 'extent-little', label: 'A few leaves', plate: null }];
    const extent = { ...first, finding: 'extent', question: 'How much of it?', choices };
    const settled = { ...answer, settled: true, ask: [extent, first] };
    const panel = showPanel(<AskPanel plant={plant} answer={settled} />, record);
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    await userEvent.click(screen.getByRole('button', { name: 'A few leaves: How much of it?' }));
    expect(panel.record().plants[0]?.answers).toMatchObject([
      { finding: 'extent', value: 'extent-little' },
    ]);
  });

  it('quotes what the question may have been said by', () => {
    const { plant, answer, record } = opened('there are spots');
    const [first] = answer.ask;
    if (!first) throw new Error('nothing is asked');
    const ask = [{ ...first, said: [10, 15] as [number, number] }];
    showPanel(<AskPanel plant={plant} answer={{ ...answer, ask }} />, record);
    expect(screen.getByText('They said “spots”:')).toBeTruthy();
  });

  it('answers all questions of one look at once', async () => {
    const { plant, answer, record } = opened('there are spots');
    const [first] = answer.ask;
    if (!first) throw new Error('nothing is asked');
    const look = { id: 'roots', say: 'Look at the roots.' };
    const ask = [
      { ...first, look },
      { ...first, finding: 'other', question: 'Is it soft?', look },
      { ...first, finding: 'apart', question: 'Is it dry?', look: null },
    ];
    const panel = showPanel(<AskPanel plant={plant} answer={{ ...answer, ask }} />, record);
    expect(screen.getByText('Look at the roots.')).toBeTruthy();
    await userEvent.keyboard('{Alt>}0{/Alt}');
    expect(panel.record().plants[0]?.answers).toMatchObject([
      { finding: first.finding, value: false },
      { finding: 'other', value: false },
    ]);
  });
});

describe('Heard', () => {
  it('turns a finding round, leaves it out, and undoes that', async () => {
    const { plant, answer, record } = opened('there are spots and rings');
    const panel = showPanel(<HeardPanel plant={plant} answer={answer} onAdd={ignore} />, record);
    await userEvent.click(screen.getByRole('button', { name: 'No: Spots' }));
    await userEvent.click(screen.getByRole('button', { name: 'Leave out: Rings' }));
    expect(panel.record().plants[0]?.answers).toMatchObject([
      { finding: 'spots', value: false },
      { finding: 'rings', value: 'unknown' },
    ]);
  });

  it('shows what the advisor set by hand with a way back', async () => {
    const answers = [{ id: 'answer-1', finding: 'fuzz', value: true, sure: 0.9 }];
    const { plant, answer, record } = opened('there are spots', { answers });
    const panel = showPanel(<HeardPanel plant={plant} answer={answer} onAdd={ignore} />, record);
    await userEvent.click(screen.getByRole('button', { name: 'Undo: Fuzz' }));
    expect(panel.record().plants[0]?.answers).toEqual([]);
  });
});

describe('Causes', () => {
  it.each([
    ['absent', 'Not known here'],
    ['spreading', 'Spreading here'],
  ] as const)('says where a cause is %s', (here, text) => {
    const { answer } = spottedFern('there are spots');
    const causes = answer.causes.map((cause, i) => (i === 0 ? { ...cause, here } : cause));
    showPanel(<CausesPanel answer={{ ...answer, causes }} without={null} problem={null} />);
    expect(screen.getByText(text)).toBeTruthy();
  });

  it('lists the leader first and opens its arguments, and always nothing wrong', () => {
    const { answer } = opened('there are spots and rings');
    showPanel(<CausesPanel answer={answer} without={null} problem={null} />);
    const rows = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(rows[0]).toMatch(/Cause ring-spot/);
    expect(rows.some((text) => text.includes('Nothing wrong'))).toBe(true);
    expect(rows[0]).toMatch(/Rings.* for/);
  });

  it('asks for the plant while nothing is known', () => {
    const { answer } = opened('', { plant: null });
    showPanel(<CausesPanel answer={answer} without={null} problem={null} />);
    expect(screen.getByText(/Name the plant first/)).toBeTruthy();
  });

  it('says why there is no newer answer, with its cure', () => {
    const problem = {
      code: 'too-slow',
      field: null,
      message: 'Too slow.',
      cure: 'Shorten it.',
    } as const;
    showPanel(<CausesPanel answer={null} without={null} problem={problem} />);
    expect(screen.getByText('Too slow. Shorten it.')).toBeTruthy();
  });
});

describe('Advice so far', () => {
  it('gives the verdict, the headline and each step with its cautions', () => {
    const { plant, answer } = opened('there are spots and rings');
    const [step] = answer.advice.steps;
    if (!step) throw new Error('no step is advised');
    const careful = { ...step, cautions: ['Wear gloves.'] };
    const advice = { ...answer.advice, verdict: 'professional' as const, steps: [careful] };
    showPanel(
      <AdvicePanel
        answer={{ ...answer, advice }}
        plant={plant}
        closed={false}
        onLabel={ignore}
        onDates={ignore}
        onSheet={ignore}
        onSamples={ignore}
      />,
    );
    const panel = screen.getByRole('region', { name: 'Advice so far' });
    expect(within(panel).getByText('Call a professional')).toBeTruthy();
    expect(within(panel).getByText(answer.advice.headline)).toBeTruthy();
    expect(within(panel).getByText(step.text)).toBeTruthy();
    expect(within(panel).getByText('Mind: Wear gloves.')).toBeTruthy();
  });

  it('marks the answer that a case was closed with', () => {
    const { plant, answer } = opened('there are spots');
    showPanel(
      <AdvicePanel
        answer={answer}
        plant={plant}
        closed
        onLabel={ignore}
        onDates={ignore}
        onSheet={ignore}
        onSamples={ignore}
      />,
    );
    expect(screen.getByText(/as answered when the case was closed/)).toBeTruthy();
  });
});

describe('Changing the plan', () => {
  const change = async (press: readonly string[]) => {
    const { plant, answer, record } = opened('there are spots and rings');
    const panel = showPanel(
      <PlanSteps steps={answer.advice.steps} plant={plant} closed={false} />,
      record,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Change the plan' }));
    for (const name of press) await userEvent.click(screen.getByRole('button', { name }));
    return { plan: () => panel.record().plants[0]?.plan, steps: answer.advice.steps };
  };

  it('adds a step of the advisor’s own, and not an empty one', async () => {
    const { plan } = await change([]);
    const add = screen.getByRole('button', { name: 'Add the step' });
    expect(add.hasAttribute('data-disabled')).toBe(true);
    await userEvent.type(screen.getByRole('textbox', { name: 'A step of our own' }), 'Ring me.');
    await userEvent.click(add);
    expect(plan()?.own).toMatchObject([{ text: 'Ring me.', on: null }]);
  });

  it('leaves a step out', async () => {
    const { plan, steps } = await change([]);
    const [first] = steps;
    await userEvent.click(screen.getByRole('button', { name: `Leave out: ${first?.text ?? ''}` }));
    expect(plan()?.leftOut).toEqual([first?.id]);
  });

  it('moves a step', async () => {
    const { plan, steps } = await change([]);
    const [first] = steps;
    await userEvent.click(screen.getByRole('button', { name: `Move down: ${first?.text ?? ''}` }));
    const order = steps.map(({ id }) => id);
    const moved = order.length > 1 ? [order[1], order[0], ...order.slice(2)] : order;
    expect(plan()?.order).toEqual(moved);
  });

  it('shows a closed plan without the means to change it', () => {
    const { plant, answer } = opened('there are spots');
    showPanel(<PlanSteps steps={answer.advice.steps} plant={plant} closed />);
    expect(screen.queryByRole('button', { name: 'Change the plan' })).toBeNull();
  });
});

describe('What it proved to be', () => {
  it('records what it proved to be, on the word of the enquirer at first', async () => {
    const { plant, answer, record } = opened('there are spots');
    const panel = showPanel(<ProvedToBe plant={plant} answer={answer} shelf={null} />, record);
    await userEvent.click(screen.getByRole('radio', { name: 'Cause gray-spot' }));
    expect(panel.record().plants[0]?.outcome).toEqual({
      cause: 'gray-spot',
      confirmed: 'enquirer',
      on: '2026-06-13',
    });
  });
});

describe('Sounding line', () => {
  it('points at the ranking without a finding, by the pointer and by the keyboard', async () => {
    const { plant, answer } = opened('there are spots and rings');
    const points: (string | null)[] = [];
    showPanel(
      <SoundingLine
        plant={plant}
        answer={answer}
        onPoint={(finding) => void points.push(finding)}
      />,
    );
    await userEvent.tab();
    await userEvent.tab();
    expect(points).toEqual(['spots', null, 'rings']);
    expect(screen.getByRole('button', { name: /^Rings: speaks \w+ for Cause ring-spot$/ })).toBe(
      document.activeElement,
    );
  });
});

describe('To be looked at', () => {
  const conflict = {
    id: 'conflict-1',
    field: 'plant' as const,
    plantId: 'plant-1',
    about: null,
    kept: 'fern',
    other: 'moss',
    otherBy: 'Desk b',
  };

  it('is silent where nothing is', () => {
    expect(showPanel(<CaseNotes record={OPENED_CASE} />).container.textContent).toBe('');
  });

  it('leaves a value that was set twice at once', async () => {
    const record = { ...OPENED_CASE, conflicts: [conflict] };
    const panel = showPanel(<CaseNotes record={record} />, record);
    await userEvent.click(screen.getByRole('button', { name: 'Plant: leave as it is' }));
    expect(panel.record().conflicts).toEqual([]);
    expect(panel.record().plants[0]?.plant).toBeNull();
  });

  it('takes the other value', async () => {
    const { plant } = opened('there are spots');
    const record = {
      ...OPENED_CASE,
      plants: [{ ...plant, plant: 'moss' }],
      conflicts: [{ ...conflict, kept: 'moss', other: 'fern' }],
    };
    const panel = showPanel(<CaseNotes record={record} />, record);
    await userEvent.click(screen.getByRole('button', { name: /^Plant: take / }));
    expect(panel.record().conflicts).toEqual([]);
    expect(panel.record().plants[0]?.plant).toBe('fern');
  });
});

describe('A result of a laboratory', () => {
  const sample: Sample = {
    id: '7a1e5c0d-0000-4000-8000-000000000001',
    kind: 'leaves-with-margin',
    suspects: ['gray-spot'],
    askedOn: '2026-06-01',
    sentOn: '2026-06-02',
    laboratory: '',
    dueOn: null,
    cost: null,
    result: { on: '2026-06-12', kind: 'found', cause: 'gray-spot', text: '' },
  };
  const takenBack = async (outcome: CasePlant['outcome']) => {
    const { plant, record } = opened('there are spots', { samples: [sample], outcome });
    const panel = showPanel(
      <SampleEntry caseNumber={7} plant={plant} sample={sample} shelf={null} />,
      record,
    );
    await userEvent.click(screen.getByRole('button', { name: 'Take the result back' }));
    return panel.record().plants[0];
  };

  it('takes what it proved with it when it is taken back', async () => {
    const after = await takenBack({
      cause: 'gray-spot',
      confirmed: 'laboratory',
      on: '2026-06-12',
    });
    expect(after).toMatchObject({ outcome: null, samples: [{ result: null }] });
  });

  it('leaves what was known otherwise', async () => {
    const known = { cause: 'gray-spot', confirmed: 'in-hand', on: '2026-06-10' } as const;
    expect((await takenBack(known))?.outcome).toEqual(known);
  });
});
