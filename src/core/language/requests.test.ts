import { readRequests } from './requests.ts';
import { tokenize } from './tokens.ts';

const asked = (text: string) =>
  readRequests(tokenize(text)).map(({ kind, act, span }) => [
    kind,
    act,
    text.slice(span.start, span.end),
  ]);

it('finds each request with its own words and the work it names', () => {
  expect(asked('The leaves curl. How often do I water it, and should I prune?')).toEqual([
    ['how-much', 'water', 'How often do I water it'],
    ['may-do', 'cut', 'should I prune'],
  ]);
});

it('finds what is asked behind another verb', () => {
  expect(asked('Can you tell me what this is?')).toEqual([
    ['identify', null, 'Can you tell me what this is'],
  ]);
});

it('takes a question after a cause for a theory, and one after harm for a request', () => {
  expect(asked('Was it frost? Will it die?').map(([kind]) => kind)).toEqual([
    'theory',
    'is-problem',
  ]);
});

it.each([
  'The leaves went brown when it got hot.',
  'what',
  'It is dusty or what',
  'I know how to prune but it is soft',
  '',
])('finds nothing asked in "%s"', (text) => {
  expect(asked(text)).toEqual([]);
});
