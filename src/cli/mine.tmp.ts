import { readFileSync } from 'node:fs';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';
import { makeEar } from '../core/ear.ts';
import { hear } from '../core/language/hear.ts';
import { isAsking } from '../core/knowledge/careTopics.ts';
const l = loadLibrary('knowledge');
if (!l.ok) throw 1;
const lib = l.value;
const ear = makeEar(lib);
const rows: Record<string, string[]> = {};
let n = 0,
  bad = 0;
for (const f of ['county', 'long', 'spoken', 'spoken2', 'clinic', 'garden'])
  for (const c of JSON.parse(readFileSync(`tests/cases/${f}.json`, 'utf8'))) {
    const causes = [...lib.causes.values()].filter((x) =>
      [...c.cause.accept, ...(c.secondary?.accept ?? []), ...(c.alsoPlausible ?? [])].some(
        (a: string) =>
          [x.id, x.name, x.scientific ?? '', ...x.aliases].join(' | ').toLowerCase().includes(a),
      ),
    );
    if (!causes.length) continue;
    const ok = new Set(causes.flatMap((x) => [...(lib.strengths.get(x.id)?.keys() ?? [])]));
    for (const h of hear(ear, c.words).findings) {
      if (!h.value || isAsking(h.finding)) continue;
      n++;
      const fi = lib.findings.get(h.finding)!;
      if (ok.has(h.finding) || fi.forAdvice) continue;
      bad++;
      (rows[h.finding] ??= []).push(c.words.slice(h.span.start, h.span.end).slice(0, 60));
    }
  }
console.log(n, bad);
for (const [k, v] of Object.entries(rows).sort((a, b) => b[1].length - a[1].length))
  console.log(k, v.length, JSON.stringify(v));
