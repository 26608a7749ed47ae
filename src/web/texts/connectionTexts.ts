/** Texts of the connection to the server and the worker, in English. */
export const connectionTexts = {
  theServerDoesNotAnswer: 'The server does not answer.',
  typedIsKept: 'What you typed is kept on this device and is sent as soon as it answers again.',
  libraryNotLoaded: 'The library could not be loaded.',
  askedAgain: 'It is asked for again by itself; what you typed is kept.',
  tookTooLong: 'This could not be worked out in time.',
  shortenTheWords:
    'Shorten the words, or move a part of them to a second plant; all of it is kept.',
} as const;
