import type { Role } from '../../contracts/access.ts';

/** Texts of signing in and out, in English. */
export const entryTexts = {
  signIn: 'Sign in',
  signInTitle: 'Sign in - Sounding',
  asking: 'Asking the server who is signed in.',
  whoIsAtTheDesk: 'Who is at the desk?',
  demoNote: 'This is a demonstration: its people are invented, and you may be any of them.',
  email: 'E-mail address',
  password: 'Password',
  byPasskey: 'Use a passkey',
  passkeyNotUsed: 'No passkey was used.',
  usePassword: 'Try again, or sign in with your password.',
  forgotten: 'Password forgotten? A coordinator of your clinic makes a link that sets a new one.',
  firstRun:
    'Nobody can sign in yet. The server printed a link when it started: open it to make the first coordinator.',
  sessionEnded: 'Your session has ended',
  goOn: (name: string) =>
    `Type on: it is kept on this device. It is sent when ${name} signs in again.`,
  signInAgain: 'Sign in again',
  somebodyElse:
    'When somebody else signs in, the page begins anew for them; what you typed waits until you are back.',
  firstCoordinator: 'The first coordinator',
  joinTitle: 'Set a password - Sounding',
  hello: (name: string) => `${name}, choose a password`,
  readingTheLink: 'Reading the link.',
  noLink: 'There is no link in this address. Open it just as it was given to you.',
  name: 'Your name, as colleagues know you',
  newPassword: (least: number) => `New password, at least ${least} characters`,
  setAndSignIn: 'Set the password and sign in',
  signOut: 'Sign out',
  signOutEverywhere: 'Sign out on every device',
  stillUnsaved: (changes: number) =>
    `${changes === 1 ? 'One change is' : `${changes} changes are`} not saved yet. It waits on this device until you sign in here again.`,
  signOutAnyway: 'Sign out all the same',
  account: (name: string, role: string) => `${name}, ${role}: account`,
  readOnly: 'You can read here. Taking enquiries and changing them is for advisors and trainees.',
} as const;

/** Roles as people read them. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  trainee: 'trainee',
  advisor: 'advisor',
  specialist: 'specialist',
  coordinator: 'coordinator',
  display: 'display, reads only',
};
