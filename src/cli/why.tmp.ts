import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { z } from 'zod';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';
import { makeEar } from '../core/ear.ts';
import { tokenize } from '../core/language/tokens.ts';
import { judgeSentence, labelledSentenceSchema } from './labelledSentences.ts';
import { fitsPart } from '../core/language/partFit.ts';
import { hear } from '../core/language/hear.ts';
const l = loadLibrary('knowledge');
if (!l.ok) throw 1;
const lib = l.value;
const ear = makeEar(lib);
const s = z
  .array(labelledSentenceSchema)
  .parse(parse(readFileSync('tests/sentences/sentences.yaml', 'utf8')));
const held: Record<string, number> = {},
  open: Record<string, number> = {};
const kindsWrong: Record<string, number> = {};
s.forEach((e, i) => {
  const out = i % 3 === 2 ? held : open;
  const m = judgeSentence(lib, ear, e);
  const tokens = tokenize(e.say);
  const matches = ear.phrases(tokens);
  const h = hear(ear, e.say);
  for (const id of m.missed) {
    const ps = h.plants.filter((p) => p.confidence >= 0.3).map((p) => p.plant);
    const shown = ps.length === 0 || ps.some((p) => ear.shownOn(p).has(id));
    const raw = matches.filter((x) => x.phrase.target.id === id);
    const why = !shown
      ? 'notShown'
      : raw.length === 0
        ? 'noPhrase'
        : !raw.some((r) => fitsPart(r.phrase.target, tokens, r.positions))
          ? 'part'
          : 'claimed/other';
    out[why] = (out[why] ?? 0) + 1;
    if (why === 'notShown') console.log(i % 3 === 2 ? 'H' : 'O', ps.join(), id);
  }
  if (i % 3 === 2)
    for (const w of m.wrong) {
      const n = e.say.slice(w.span.start, w.span.end).split(' ').length;
      const k = lib.findings.get(w.finding)!.kind + ' words' + n + (w.value ? '' : ' neg');
      kindsWrong[k] = (kindsWrong[k] ?? 0) + 1;
    }
});
console.log({ held, open, kindsWrong });
