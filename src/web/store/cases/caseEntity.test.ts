import fc from 'fast-check';
import { OPENED_CASE } from '../../../test/caseRecord.ts';
import { appendEvents } from '../../../contracts/appendEvents.ts';
import { applyStoredEvent } from '../../../contracts/applyCaseEvent.ts';
import type { CaseEvent, SentEvent, StoredEvent } from '../../../contracts/caseEvents.ts';
import type { CaseRecord } from '../../../contracts/cases.ts';
import { diffText } from '../../../contracts/textEdits.ts';
import {
  currentRecord,
  endSending,
  openedEntity,
  setAside,
  startSending,
  withChange,
  withStored,
  type CaseEntity,
  type Sending,
} from './caseEntity.ts';

const plantId = 'plant-1';
let made = 0;
const sent = (event: CaseEvent, author = 'a'): SentEvent => ({
  id: `00000000-0000-4000-8000-${String(made++).padStart(12, '0')}`,
  author,
  device: author,
  event,
  conflicts: [],
});
const typed = (entity: CaseEntity, words: string): CaseEntity => {
  const before = currentRecord(entity).plants[0]?.words ?? '';
  return withChange(
    entity,
    sent({ kind: 'words-edited', plantId, edits: [...diffText(before, words)] }),
  );
};
const wordsOf = (record: CaseRecord): string => record.plants[0]?.words ?? '';
const shown = (entity: CaseEntity): string => wordsOf(currentRecord(entity));

/** The server as the contract describes it, without a network or a database. */
class Server {
  record: CaseRecord = OPENED_CASE;
  log: StoredEvent[] = [];
  append({ baseVersion, events }: Sending) {
    const since = this.log.slice(baseVersion);
    const { record, applied, refused } = appendEvents(this.record, since, events);
    this.record = record;
    this.log.push(...applied);
    return { events: this.log.slice(baseVersion), refused };
  }
}

function received(
  entity: CaseEntity,
  sending: Sending,
  { events, refused }: ReturnType<Server['append']>,
): CaseEntity {
  const after = withStored(endSending(entity, null), events);
  if (!after) throw new Error('a gap');
  const id = refused && sending.events[refused.index]?.id;
  return refused && id !== undefined && id !== null ? setAside(after, id, refused.problem) : after;
}

describe('changes on this page', () => {
  it('typing on makes one edit of what was not sent, and a new one of what was', () => {
    const once = typed(typed(openedEntity(OPENED_CASE), 'ros'), 'roses');
    expect(once.pending).toHaveLength(1);
    const sending = startSending(once);
    const more = typed(sending?.entity ?? once, 'roses wilt');
    expect(more.pending).toHaveLength(2);
    expect(more.pending[0]).toMatchObject({ sent: true });
    expect(shown(more)).toBe('roses wilt');
  });

  it('what is typed on stays at its place, where the same text could have come about elsewhere', () => {
    const base = typed(openedEntity(OPENED_CASE), 'Gum Planted');
    const frozen = startSending(base)?.entity ?? base;
    const insert = (entity: CaseEntity, at: number, text: string): CaseEntity =>
      withChange(
        entity,
        sent({ kind: 'words-edited', plantId, edits: [{ at, remove: '', insert: text }] }),
      );
    const both = insert(insert(frozen, 3, ' '), 4, 'on');
    expect(shown(both)).toBe('Gum on Planted');
    expect(both.pending.at(-1)?.event).toMatchObject({
      edits: [{ at: 3, remove: '', insert: ' on' }],
    });
  });

  it('keeps edits far from each other apart, so that nothing between them is claimed', () => {
    const text = 'one two three four five';
    const base = typed(openedEntity(OPENED_CASE), text);
    const frozen = startSending(base)?.entity ?? base;
    const both = typed(typed(frozen, `${text}!`), `big ${text}!`);
    expect(both.pending).toHaveLength(3);
  });

  it('applies a doubled and a late answer once', () => {
    const server = new Server();
    const start = startSending(typed(openedEntity(OPENED_CASE), 'roses'));
    if (!start) throw new Error('nothing to send');
    const answer = server.append(start.sending);
    server.append(start.sending);
    const once = received(start.entity, start.sending, answer);
    expect(withStored(once, answer.events)).toBe(once);
    expect(server.log).toHaveLength(1);
    expect(once).toMatchObject({ pending: [], confirmed: { version: 1 } });
  });

  it('asks for what is missing instead of guessing', () => {
    const server = new Server();
    server.append({ baseVersion: 0, events: [sent({ kind: 'status-set', status: 'waiting' })] });
    server.append({ baseVersion: 1, events: [sent({ kind: 'status-set', status: 'closed' })] });
    expect(withStored(openedEntity(OPENED_CASE), server.log.slice(1))).toBeNull();
  });

  it('sets one refused change aside, and sends those behind it', () => {
    const server = new Server();
    let entity = withChange(
      openedEntity(OPENED_CASE),
      sent({ kind: 'date-set', plantId: 'plant-9', date: '2026-06-13' }),
    );
    entity = typed(entity, 'roses');
    for (let round = 0; round < 2; round++) {
      const start = startSending(entity);
      if (!start) throw new Error('nothing to send');
      entity = received(start.entity, start.sending, server.append(start.sending));
    }
    expect(entity.refused).toMatchObject([{ problem: { field: 'plantId' } }]);
    expect(entity.pending).toEqual([]);
    expect(wordsOf(server.record)).toBe('roses');
  });

  it('takes refused words out from under those typed after them', () => {
    let entity = typed(openedEntity(OPENED_CASE), 'roses ');
    entity = typed(startSending(entity)?.entity ?? entity, 'roses have spots');
    const id = entity.pending[0]?.id ?? '';
    const problem = { code: 'too-large', field: 'words', message: '', cure: '' } as const;
    entity = setAside(endSending(entity, null), id, problem);
    expect(shown(entity)).toBe('have spots');
    expect(entity.refused[0]?.event).toMatchObject({ edits: [{ insert: 'roses ' }] });
  });

  it('keeps both values of a field that two set at once', () => {
    const server = new Server();
    const name = (value: string, author: string) =>
      sent({ kind: 'enquirer-set', name: value }, author);
    server.append({ baseVersion: 0, events: [name('Odile', 'Desk 1')] });
    server.append({ baseVersion: 0, events: [name('Odette', 'Desk 2')] });
    expect(server.record.enquirer.name).toBe('Odette');
    expect(server.record.conflicts).toMatchObject([
      { field: 'name', kept: 'Odette', other: 'Odile', otherBy: 'Desk 1' },
    ]);
    const [conflict] = server.record.conflicts;
    server.append({
      baseVersion: 2,
      events: [sent({ kind: 'conflict-settled', conflictId: conflict?.id ?? '' })],
    });
    expect(server.record.conflicts).toEqual([]);
  });
});

type Step =
  | {
      readonly kind: 'type';
      readonly who: number;
      readonly place: number;
      readonly removes: number;
    }
  | { readonly kind: 'send' | 'lose' | 'double' | 'poll' | 'replay'; readonly who: number };

const stepOf = (people: number): fc.Arbitrary<Step> => {
  const who = fc.nat(people - 1);
  return fc.oneof(
    {
      weight: 5,
      arbitrary: fc.record({
        kind: fc.constant('type' as const),
        who,
        place: fc.nat(300),
        removes: fc.constantFrom(0, 0, 0, 1, 2),
      }),
    },
    {
      weight: 4,
      arbitrary: fc.record({
        kind: fc.constantFrom(
          'send' as const,
          'lose' as const,
          'double' as const,
          'poll' as const,
          'replay' as const,
        ),
        who,
      }),
    },
  );
};

/** Types a word that nobody else types at a place between words, over some words there; returns what it took out. */
function typeWord(
  entity: CaseEntity,
  word: string,
  { place, removes }: Extract<Step, { kind: 'type' }>,
) {
  const words = shown(entity).split(' ').filter(Boolean);
  const at = place % (words.length + 1);
  const removed = words.splice(at, removes, word);
  return { entity: typed(entity, words.join(' ')), removed };
}

/** Takes in what is new; whatever that did to the words is known step by step. */
function polled(entity: CaseEntity, log: readonly StoredEvent[]): CaseEntity {
  const after = withStored(entity, log) ?? entity;
  if (shown(after) !== shown(entity)) expect(after.arrivals.at(-1)?.after).toBe(shown(after));
  return after;
}

it('comes to one case however the network treats it: as a plain model that applies every event once', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 4 }),
      fc.array(stepOf(4), { maxLength: 60 }),
      (people, steps) => {
        const server = new Server();
        const entities = Array.from({ length: people }, () => openedEntity(OPENED_CASE));
        const old: Sending[] = [];
        const [written, removed] = [new Set<string>(), new Set<string>()];
        const entityOf = (who: number): CaseEntity => entities[who] ?? openedEntity(OPENED_CASE);
        const send = (who: number, how: Step['kind']): void => {
          const start = startSending(entityOf(who));
          if (!start) return;
          old.push(start.sending);
          const answer = server.append(start.sending);
          if (how === 'double') server.append(start.sending);
          entities[who] =
            how === 'lose'
              ? endSending(start.entity, null)
              : received(start.entity, start.sending, answer);
        };
        steps.forEach((step, i) => {
          const who = step.who % people;
          if (step.kind === 'type') {
            const word = `w${who}x${i}`;
            const done = typeWord(entityOf(who), word, step);
            entities[who] = done.entity;
            written.add(word);
            done.removed.forEach((one) => removed.add(one));
          } else if (step.kind === 'poll') entities[who] = polled(entityOf(who), server.log);
          else if (step.kind === 'replay') {
            const late = old[i % Math.max(1, old.length)];
            if (late) server.append(late);
          } else send(who, step.kind);
        });
        for (let round = 0; round < 3; round++)
          entities.forEach((_one, who) => {
            send(who, 'send');
            entities[who] = withStored(entityOf(who), server.log) ?? entityOf(who);
          });
        const plain = server.log.reduce(applyStoredEvent, OPENED_CASE);
        expect(server.record).toEqual(plain);
        expect(new Set(server.log.map(({ id }) => id)).size).toBe(server.log.length);
        for (const entity of entities) {
          expect(entity.pending).toEqual([]);
          expect(entity.refused).toEqual([]);
          expect(currentRecord(entity)).toEqual(plain);
        }
        const left = new Set(wordsOf(plain).split(/\s+/));
        for (const word of written) if (!removed.has(word)) expect(left).toContain(word);
      },
    ),
    { seed: 20_260_613, numRuns: 600 },
  );
});
