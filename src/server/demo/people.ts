import type { Role } from '../../contracts/access.ts';
import type { Database } from '../db/connect.ts';
import { people } from '../db/schema.ts';

const id = (n: number): string => `9e0a7d1c-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** The invented people of the Larkspur Quay Plant Clinic. */
export const DEMO_PEOPLE: readonly {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}[] = [
  { id: id(1), name: 'Thora Winslade', role: 'coordinator' },
  { id: id(2), name: 'Anselm Rudd', role: 'advisor' },
  { id: id(3), name: 'Petra Lindqvist-Moor', role: 'specialist' },
  { id: id(4), name: 'Jory Tamblyn', role: 'trainee' },
];

/** Adds the people of the demonstration that are not there yet; they have no password and are chosen instead. */
export async function seedPeople(db: Database, clinicId: number): Promise<void> {
  await db
    .insert(people)
    .values(
      DEMO_PEOPLE.map((person) => ({
        ...person,
        clinicId,
        email: `${person.id}@larkspur-quay.example`,
        demo: true,
      })),
    )
    .onConflictDoNothing();
}
