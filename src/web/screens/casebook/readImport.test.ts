import { guessMapping, mappedRow, piecesOf, readImport } from './readImport.ts';

it('reads our own lines, and passes on what is none with its place', () => {
  const read = readImport('\uFEFF{"case":1}\n{broken\n{"case":2}\n');
  expect(read).toEqual({ kind: 'cases', items: [{ case: 1 }, '{broken', { case: 2 }] });
});

it('reads a table whatever separates its cells', () => {
  for (const text of [
    'opened,words\n2026-05-01,"spots, brown"',
    'opened;words\r\n2026-05-01;"spots, brown"\r\n',
  ]) {
    const read = readImport(text);
    expect(read).toMatchObject({
      kind: 'rows',
      columns: ['opened', 'words'],
      items: [{ opened: '2026-05-01', words: 'spots, brown' }],
    });
  }
});

it.each(['', '  \n', 'a text without any table'])('finds nothing in "%s"', (text) => {
  expect(readImport(text)).toBeNull();
});

it('guesses columns by their names, and sends only what is mapped', () => {
  const mapping = guessMapping(['Date', 'Question', 'Diagnosis', 'Weather']);
  expect(mapping).toMatchObject({
    opened: 'Date',
    words: 'Question',
    proved: 'Diagnosis',
    plant: '',
  });
  const row = { Date: ' 2026-05-01 ', Question: 'spots', Diagnosis: '', Weather: 'wet' };
  expect(mappedRow(row, mapping)).toEqual({ opened: '2026-05-01', words: 'spots', proved: '' });
});

it('sends every item once, in pieces that a request may hold', () => {
  const items = Array.from({ length: 257 }, (_, i) => ({
    i,
    text: 'x'.repeat(i % 3 === 0 ? 30_000 : 10),
  }));
  const pieces = piecesOf(items);
  expect(pieces.flat()).toEqual(items);
  for (const piece of pieces) {
    expect(piece.length).toBeLessThanOrEqual(100);
    expect(JSON.stringify(piece).length).toBeLessThan(700_000);
  }
});
