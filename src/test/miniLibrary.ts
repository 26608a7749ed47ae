import { compileLibrary, type Compiled } from '../core/library/compile.ts';
import { readLibrary, type KnowledgeFile, type ReadLibrary } from '../core/knowledge/read.ts';

/** A cause of a small library: how often it shows each finding. */
export interface MiniCause {
  readonly id: string;
  readonly findings: Readonly<Record<string, string>>;
  readonly extra?: Readonly<Record<string, unknown>>;
}

/** A finding of a small library. */
export interface MiniFinding {
  readonly id: string;
  readonly extra?: Readonly<Record<string, unknown>>;
}

const DEFAULT_FINDING = {
  part: 'leaf',
  kind: 'symptom',
  question: 'Is it so?',
  background: 'occasional',
  source: 'judgement',
  plate: 'none',
  how: 'Look closely.',
};
const DEFAULT_CAUSE = {
  category: 'fungus',
  hosts: { fern: 'usual' },
  common: 'occasional',
  harm: { plant: 'moderate', pace: 'weeks' },
  say: 'It is a cause for tests.',
  source: 'judgement',
};

export const REFERENCE_PLACE = {
  id: 'columbus',
  name: 'A continental place',
  country: 'us',
  climate: 'humid continental',
  latitude: 40,
  longitude: -83,
  elevationMetres: 240,
  minCelsius: [-6, -5, 0, 5, 11, 16, 18, 17, 14, 7, 2, -3],
  maxCelsius: [3, 5, 10, 18, 23, 28, 30, 29, 26, 19, 11, 5],
  rainMillimetres: [76, 63, 88, 99, 105, 106, 112, 90, 76, 74, 74, 76],
  source: 'judgement',
};

/** What a treatment of a test need not say: a practice without dangers. */
export const HARMLESS_TREATMENT = {
  who: 'anyone',
  classes: [],
  organic: true,
  hazards: [],
  limits: null,
  matters: [],
  cautions: [],
  effort: 'low',
  money: 'none',
  source: 'judgement',
};

const file = (name: string, content: unknown): KnowledgeFile => ({
  file: name,
  content,
  text: JSON.stringify(content),
});

const FERN = { id: 'fern', name: 'Fern', source: 'judgement' };

const withDefaults = (name: string, content: unknown): unknown =>
  name.startsWith('treatments/') && Array.isArray(content)
    ? content.map((one: object) => ({ ...HARMLESS_TREATMENT, ...one }))
    : content;

/** A library with one plant, `fern`, for tests, as it is read. Throws when its parts do not fit the schema. */
export function readMini(
  findings: readonly MiniFinding[],
  causes: readonly MiniCause[],
  more: Readonly<Record<string, unknown>> = {},
): ReadLibrary {
  const read = readLibrary([
    file('plants/a.yaml', more['plants/a.yaml'] ?? [FERN]),
    file('places/a.yaml', [REFERENCE_PLACE]),
    file(
      'findings/a.yaml',
      findings.map(({ id, extra }) => ({
        ...DEFAULT_FINDING,
        id,
        label: `Finding ${id}`,
        ...extra,
      })),
    ),
    file(
      'causes/a.yaml',
      causes.map(({ id, findings: shown, extra }) => ({
        ...DEFAULT_CAUSE,
        id,
        name: `Cause ${id}`,
        findings: shown,
        ...extra,
      })),
    ),
    ...Object.entries(more)
      .filter(([name]) => name !== 'plants/a.yaml')
      .map(([name, content]) => file(name, withDefaults(name, content))),
  ]);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
}

/** The library of {@link readMini}, compiled. */
export function miniLibrary(...parts: Parameters<typeof readMini>): Compiled {
  return compileLibrary(readMini(...parts).library);
}
