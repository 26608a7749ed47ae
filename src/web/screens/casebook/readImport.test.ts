import { guessMapping, mappedRow, piecesOf, readImport } from './readImport.ts';

it('knows our own lines, and passes on what is none with its place', () => {
  const read = readImport('\uFEFF{"case":1}\n{broken\n{"case":2}\n');
  expect(read?.kind).toBe('cases');
  expect(read && [...piecesOf(read, {})].flat()).toEqual([{ case: 1 }, '{broken', { case: 2 }]);
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

it('sends every row once, in pieces that a request may hold, whatever its letters', () => {
  const rows = Array.from({ length: 257 }, (_, i) => ({
    day: String(i),
    said: '葉'.repeat(i % 3 === 0 ? 30_000 : 10),
  }));
  const file = { kind: 'rows', columns: ['day', 'said'], items: rows } as const;
  const pieces = [...piecesOf(file, { opened: 'day', words: 'said' })];
  expect(pieces.flat()).toEqual(rows.map(({ day, said }) => ({ opened: day, words: said })));
  for (const piece of pieces) {
    expect(piece.length).toBeLessThanOrEqual(100);
    expect(new TextEncoder().encode(JSON.stringify(piece)).length).toBeLessThan(950_000);
  }
});
