import {
  startAuthentication,
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import { z } from 'zod';
import {
  accountsSchema,
  auditPageSchema,
  linkPurposeSchema,
  linkSchema,
  ownSpellingSchema,
  passkeyOptionsSchema,
  passkeysSchema,
  sessionSchema,
  type Accounts,
  type AuditPage,
  type ChangePerson,
  type Link,
  type LinkPurpose,
  type NewPerson,
  type OwnSpelling,
  type Passkeys,
  type SessionState,
  type TakeLink,
} from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, type Result } from '../../core/util/result.ts';
import { entryTexts } from '../texts/entryTexts.ts';
import { call } from './request.ts';

const isOptions = (value: unknown): boolean =>
  passkeyOptionsSchema.shape.options.safeParse(value).success;
/** Options as the browser takes them; it checks every part of them itself. */
const toSign = z.custom<PublicKeyCredentialRequestOptionsJSON>(isOptions);
const toMake = z.custom<PublicKeyCredentialCreationOptionsJSON>(isOptions);

type Answer<T> = Promise<Result<T, Problem>>;

/** The browser, or whoever sits before it, did not go on with a passkey. */
const NO_PASSKEY: Problem = {
  code: 'not-recognized',
  field: null,
  message: entryTexts.passkeyNotUsed,
  cure: entryTexts.usePassword,
};

/** Calls about people and their sessions, each checked against its contract. A failed call gives a problem and never throws. */
export const accounts = {
  session: (): Answer<SessionState> => call('/api/session', sessionSchema, undefined),
  signIn: (email: string, password: string): Answer<SessionState> =>
    call('/api/session', sessionSchema, { email, password }),
  signInAs: (personId: string): Answer<SessionState> =>
    call('/api/session/demo', sessionSchema, { personId }),
  signOut: (everywhere: boolean): Answer<SessionState> =>
    call('/api/session/end', sessionSchema, { everywhere }),
  setSpelling: (spelling: OwnSpelling['spelling']): Answer<OwnSpelling> =>
    call('/api/people/me/spelling', ownSpellingSchema, { spelling }),
  signInByPasskey: async (): Answer<SessionState> => {
    const asked = await call('/api/session/passkey/options', passkeyOptionsSchema, {});
    if (!asked.ok) return asked;
    try {
      const optionsJSON = toSign.parse(asked.value.options);
      const response = await startAuthentication({ optionsJSON });
      return await call('/api/session/passkey', sessionSchema, { response });
    } catch {
      return fail(NO_PASSKEY);
    }
  },
  readLink: (token: string): Answer<LinkPurpose> =>
    call('/api/links/read', linkPurposeSchema, { token }),
  useLink: (body: TakeLink): Answer<SessionState> => call('/api/links/use', sessionSchema, body),
  people: (): Answer<Accounts> => call('/api/people', accountsSchema, undefined),
  addPerson: (body: NewPerson): Answer<Accounts> => call('/api/people', accountsSchema, body),
  changePerson: (body: ChangePerson): Answer<Accounts> =>
    call('/api/people/change', accountsSchema, body),
  linkFor: (id: string): Answer<Link> => call('/api/people/link', linkSchema, { id }),
  setPassword: (current: string, next: string): Answer<{ ok: boolean }> =>
    call('/api/people/me/password', z.object({ ok: z.boolean() }), { current, next }),
  passkeys: (): Answer<Passkeys> => call('/api/people/me/passkeys', passkeysSchema, undefined),
  addPasskey: async (name: string): Answer<Passkeys> => {
    const asked = await call('/api/people/me/passkeys/options', passkeyOptionsSchema, {});
    if (!asked.ok) return asked;
    try {
      const optionsJSON = toMake.parse(asked.value.options);
      const response = await startRegistration({ optionsJSON });
      return await call('/api/people/me/passkeys', passkeysSchema, { name, response });
    } catch {
      return fail(NO_PASSKEY);
    }
  },
  removePasskey: (id: string): Answer<Passkeys> =>
    call('/api/people/me/passkeys/remove', passkeysSchema, { id }),
  audit: (before: number | null): Answer<AuditPage> =>
    call(
      before === null ? '/api/audit' : `/api/audit?before=${before}`,
      auditPageSchema,
      undefined,
    ),
} as const;
