/** Who works at a clinic. */
export const ROLES = ['trainee', 'advisor', 'specialist', 'coordinator', 'display'] as const;
export type Role = (typeof ROLES)[number];

/** Everything that a person may or may not do; `own` is about the person alone. */
export const ACTIONS = [
  'clinic.read',
  'clinic.write',
  'clinic.learn',
  'cases.read',
  'cases.write',
  'cases.export',
  'cases.import',
  'cases.forget',
  'advice.give',
  'advice.release',
  'labels.write',
  'weather.import',
  'people.read',
  'people.write',
  'audit.read',
  'own.write',
] as const;
export type Action = (typeof ACTIONS)[number];

/** Where the release of a trainee's advice stands. */
export const RELEASE_STATES = ['asked', 'released', 'given-back'] as const;
export type ReleaseState = (typeof RELEASE_STATES)[number];

/** What an action is about: a thing of a clinic, and for advice how its release stands. */
export interface Subject {
  readonly clinicId: number;
  /** Null while nobody asked for it. */
  readonly release?: ReleaseState | null;
}

/** Who acts. */
export interface ActingPerson {
  readonly role: Role;
  readonly clinicId: number;
}

const READS: readonly Action[] = ['clinic.read', 'cases.read'];
const DRAFTS: readonly Action[] = [...READS, 'cases.write', 'own.write'];
const ADVISES: readonly Action[] = [...DRAFTS, 'advice.give', 'advice.release', 'labels.write'];

const ALLOWED: Readonly<Record<Role, ReadonlySet<Action>>> = {
  display: new Set(READS),
  trainee: new Set(DRAFTS),
  advisor: new Set(ADVISES),
  specialist: new Set(ADVISES),
  coordinator: new Set(ACTIONS),
};

/**
 * Whether somebody may do something: nothing of another clinic, and what the role allows. Advice by a trainee is given
 * once somebody has released it.
 */
export function can(person: ActingPerson, action: Action, subject: Subject): boolean {
  if (person.clinicId !== subject.clinicId) return false;
  if (ALLOWED[person.role].has(action)) return true;
  return person.role === 'trainee' && action === 'advice.give' && subject.release === 'released';
}
