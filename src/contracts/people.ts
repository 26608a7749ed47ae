import { z } from 'zod';
import { SPELLINGS } from '../wording/spelling.ts';
import { ROLES } from './access.ts';
import { MAX_NAME } from './cases.ts';
import { textSchema } from './storableText.ts';

/** Shortest and longest password, in characters (NIST SP 800-63B asks for at least 8 and for room for 64). */
export const MIN_PASSWORD = 10;
export const MAX_PASSWORD = 200;

/** Header by which a page says whose it is; a session of somebody else does not answer it. */
export const PERSON_HEADER = 'x-person';

const role = z.enum(ROLES);
const name = textSchema(MAX_NAME).trim().min(1, 'must not be empty');
const email = textSchema(200).trim().toLowerCase().pipe(z.email('must be an e-mail address'));
const password = textSchema(MAX_PASSWORD).min(
  MIN_PASSWORD,
  `must have at least ${MIN_PASSWORD} characters`,
);
/** What was typed of a password that is only compared. */
const typedPassword = textSchema(MAX_PASSWORD);
const token = textSchema(100).min(20);

/** A person as colleagues see them. */
export const personSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  role,
  clinicId: z.number().int(),
});
export type Person = z.infer<typeof personSchema>;

/** Who is signed in, from `GET /api/session`; `person` is null when nobody is. */
export const sessionSchema = z.object({
  person: personSchema.nullable(),
  /** People of the demonstration, who sign in by being chosen; empty elsewhere. */
  demo: z.array(personSchema.pick({ id: true, name: true, role: true })),
  /** Nobody can sign in yet: the first coordinator is made by the link that the server printed. */
  firstRun: z.boolean(),
  /** In which spelling the person reads texts; null for that of the clinic. */
  spelling: z.enum(SPELLINGS).nullable(),
});
export type SessionState = z.infer<typeof sessionSchema>;

/** Body of `POST /api/session`. */
export const signInSchema = z.strictObject({ email, password: typedPassword });
/** Body of `POST /api/session/demo`. */
export const demoSignInSchema = z.strictObject({ personId: z.uuid() });
/** Body of `POST /api/session/end`. */
export const signOutSchema = z.strictObject({
  /** Ends the sessions of this person on every device. */
  everywhere: z.boolean().default(false),
});

/** An account as the coordinator sees it. */
export const accountSchema = personSchema.extend({
  email: z.string(),
  active: z.boolean(),
  /** Whether a password or a passkey was set. */
  ready: z.boolean(),
  demo: z.boolean(),
});
export type Account = z.infer<typeof accountSchema>;
export const accountsSchema = z.object({ people: z.array(accountSchema) });
export type Accounts = z.infer<typeof accountsSchema>;
/** Most people of a clinic. */
export const MAX_PEOPLE = 500;

/** Body of `POST /api/people`; the id is made by the sender, so that a repeated request adds one person. */
export const newPersonSchema = z.strictObject({ id: z.uuid(), name, email, role });
export type NewPerson = z.infer<typeof newPersonSchema>;

/** Body of `POST /api/people/change`: the fields that it names. */
export const changePersonSchema = z.strictObject({
  id: z.uuid(),
  name: name.optional(),
  role: role.optional(),
  active: z.boolean().optional(),
});
export type ChangePerson = z.infer<typeof changePersonSchema>;

/** Body of `POST /api/people/link`. */
export const askLinkSchema = z.strictObject({ id: z.uuid() });
/** A link that is used once, and the moment until which it can be. */
export const linkSchema = z.object({ token: z.string(), until: z.iso.datetime() });
export type Link = z.infer<typeof linkSchema>;

/** Body of `POST /api/links/read`, and what the link is for. */
export const readLinkSchema = z.strictObject({ token });
export const linkPurposeSchema = z.object({
  purpose: z.enum(['first-coordinator', 'password']),
  /** Whose password it sets; empty for the first coordinator. */
  name: z.string(),
});
export type LinkPurpose = z.infer<typeof linkPurposeSchema>;

/** Body of `POST /api/links/use`; name and e-mail address are those of the first coordinator. */
export const takeLinkSchema = z.strictObject({
  token,
  password,
  name: name.optional(),
  email: email.optional(),
});
export type TakeLink = z.infer<typeof takeLinkSchema>;

/** Body of `POST /api/people/me/spelling`; null takes that of the clinic. */
export const ownSpellingSchema = z.strictObject({ spelling: z.enum(SPELLINGS).nullable() });
export type OwnSpelling = z.infer<typeof ownSpellingSchema>;

/** Body of `POST /api/people/me/password`. */
export const newPasswordSchema = z.strictObject({ current: typedPassword, next: password });

/** A line of the audit log; `seq` counts up. */
export const auditLineSchema = z.object({
  seq: z.number().int(),
  at: z.iso.datetime(),
  /** Name of who did it; empty for the server and for nobody known. */
  by: z.string(),
  action: z.string(),
  /** Name of whom it is about; empty where that is nobody. */
  subject: z.string(),
});
export type AuditLine = z.infer<typeof auditLineSchema>;
export const auditPageSchema = z.object({
  lines: z.array(auditLineSchema),
  /** Asks for the lines before these; null on the last page. */
  next: z.number().int().nullable(),
});
export type AuditPage = z.infer<typeof auditPageSchema>;

/** Options that the browser's own interface takes (W3C Web Authentication, level 2), and what it gives back. */
export const passkeyOptionsSchema = z.object({ options: z.looseObject({ challenge: z.string() }) });
export type PasskeyOptions = z.infer<typeof passkeyOptionsSchema>;
/** Body of `POST /api/session/passkey`. */
export const passkeySignInSchema = z.strictObject({
  response: z.looseObject({ id: textSchema(1024).min(1) }),
});
/** Body of `POST /api/people/me/passkeys`. */
export const newPasskeySchema = passkeySignInSchema.extend({ name });

/** Passkeys of whoever asks. */
export const passkeysSchema = z.object({
  passkeys: z.array(z.object({ id: z.string(), name: z.string() })),
});
export type Passkeys = z.infer<typeof passkeysSchema>;
/** Most passkeys of a person. */
export const MAX_PASSKEYS = 20;
/** Body of `POST /api/people/me/passkeys/remove`. */
export const removePasskeySchema = z.strictObject({ id: textSchema(1024).min(1) });
