/** Texts of the end of a call, in English. */
export const finishTexts = {
  finish: 'Finish',
  key: 'Finish the call',
  title: 'How does it end?',
  advised: 'Advised: close the case',
  asksAgain: (day: string) => `The Desk asks how it went on ${day}.`,
  needsRelease: 'A trainee closes a case when its advice is released.',
  callBack: 'Call back',
  callBackOn: 'Call back on',
  reach: 'How to reach them',
  comesUp: 'It waits on the Desk, and comes up on that day.',
  sample: 'Ask for a sample',
  sampleHow: 'What to take, how to pack it, and its label; the answer comes up by itself.',
  handOverKey: '4',
} as const;
