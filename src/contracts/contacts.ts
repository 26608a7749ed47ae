import { z } from 'zod';
import { MAX_CONTACT, MAX_NAME } from './cases.ts';
import { textSchema } from './storableText.ts';
import { CALLS } from '../core/schema/danger.ts';

/** Whom a clinic sends people to: those that are called in danger, and who does the work of the trade. */
export const TRADES = [
  ...CALLS,
  'laboratory',
  'licensed-applicator',
  'wildlife-office',
  'nursery',
  'clinic',
] as const;
export type Trade = (typeof TRADES)[number];

/** Somebody that the clinic sends people to. */
export const clinicContactSchema = z.strictObject({
  id: z.uuid(),
  trade: z.enum(TRADES),
  name: textSchema(MAX_NAME).trim().min(1),
  /** A number or an address. */
  reach: textSchema(MAX_CONTACT).trim(),
  /** Where they work; empty for everywhere. */
  area: textSchema(MAX_NAME).trim(),
});
export type ClinicContact = z.infer<typeof clinicContactSchema>;
/** Most contacts of a clinic. */
export const MAX_CONTACTS = 200;

/** Contacts by trade and name, from `GET /api/clinic/contacts`. */
export const clinicContactsSchema = z.object({ contacts: z.array(clinicContactSchema) });
export type ClinicContacts = z.infer<typeof clinicContactsSchema>;

/** Body of `POST /api/clinic/contacts/remove`. */
export const removeContactSchema = z.strictObject({ id: z.uuid() });
