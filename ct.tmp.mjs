// src/server/knowledge/loadLibrary.ts
import { readdirSync, readFileSync as readFileSync2, statSync } from "node:fs";
import { join as join2, relative, sep } from "node:path";
import { LineCounter, parseDocument } from "yaml";

// src/core/knowledge/schema/source.ts
import { z as z2 } from "zod";

// src/core/knowledge/schema/common.ts
import { z } from "zod";
var kebab = /^[a-z0-9]+(-[a-z0-9]+)*$/;
var idSchema = z.string().regex(kebab, 'an id is lower-case words joined by hyphens, for example "early-blight"');
var plantIdSchema = idSchema.brand();
var findingIdSchema = idSchema.brand();
var causeIdSchema = idSchema.brand();
var treatmentIdSchema = idSchema.brand();
var placeIdSchema = idSchema.brand();
var sourceRefSchema = idSchema;
function wordOf(scale) {
  const words = Object.keys(scale);
  return z.custom((value) => typeof value === "string" && words.includes(value), {
    error: `one of: ${words.join(", ")}`
  });
}

// src/core/knowledge/schema/source.ts
var sourceSchema = z2.strictObject({
  id: idSchema,
  author: z2.string(),
  title: z2.string(),
  publisher: z2.string(),
  year: z2.number().int().min(1700).max(2100),
  recalled: z2.boolean()
});
var UNPUBLISHED = ["practice", "judgement"];

// src/core/knowledge/check.ts
var RATE = /\b\d+(\.\d+)?\s*(ml|millilit\w*|fl\.? ?oz|tsp|tbsp|teaspoons?|tablespoons?)\s*(per|to|in|\/)\s*(a |an |one |each )?(lit\w*|l|gal\w*|square|sq)\b/i;
var ids = (entries) => new Set(entries.map(({ id }) => id));
function knownIds(library) {
  return {
    plants: ids(library.plants),
    findings: ids(library.findings),
    groups: ids(library.groups),
    causes: /* @__PURE__ */ new Set([...ids(library.causes), ...ids(library.careTopics)]),
    treatments: ids(library.treatments),
    places: ids(library.places),
    sources: /* @__PURE__ */ new Set([...ids(library.sources), ...UNPUBLISHED])
  };
}
function checkUnique(library, report) {
  const sections = [
    library.plants,
    library.findings,
    library.treatments,
    library.places,
    library.groups
  ];
  for (const section of [...sections, [...library.causes, ...library.careTopics]]) {
    const seen = /* @__PURE__ */ new Set();
    for (const { id } of section) {
      if (seen.has(id)) report(id, "id", "stands twice; give one of them another id");
      seen.add(id);
    }
  }
}
function checkWindow(rule, id, field, known, report) {
  if (rule?.kind === "calendar" && rule.at !== null && !known.places.has(rule.at)) {
    report(id, field, `the place "${rule.at}" is not in places/`);
  }
}
function checkCause(cause, known, report) {
  const refer = (field, kind, list) => {
    for (const item of list) {
      if (!known[kind].has(item)) report(cause.id, field, `"${item}" is not among the ${kind}`);
    }
  };
  refer("hosts", "plants", Object.keys(cause.hosts));
  refer("findings", "findings", Object.keys(cause.findings));
  refer("leadsTo", "causes", cause.leadsTo);
  refer(
    "lookAlikes",
    "causes",
    cause.lookAlikes.map(({ id }) => id)
  );
  refer(
    "treatments",
    "treatments",
    cause.treatments.map(({ use }) => use)
  );
  if (Object.keys(cause.hosts).length === 0) report(cause.id, "hosts", "name at least one host");
  if (Object.keys(cause.findings).length < 3)
    report(cause.id, "findings", "name at least 3 findings");
  if (cause.treatments.length === 0 && cause.leave === void 0) {
    report(cause.id, "treatments", 'name a treatment, or say under "leave" why none is needed');
  }
  checkWindow(cause.seen, cause.id, "seen", known, report);
  for (const stage of cause.stages) checkWindow(stage.when, cause.id, "stages", known, report);
  for (const option of cause.treatments)
    checkWindow(option.when, cause.id, "treatments", known, report);
}
function checkFindings(library, known, report) {
  const used = new Set(library.causes.flatMap((cause) => Object.keys(cause.findings)));
  for (const finding of library.findings) {
    for (const parent of finding.isA) {
      used.add(parent);
      if (!known.findings.has(parent))
        report(finding.id, "isA", `"${parent}" is not among the findings`);
    }
    if (finding.group !== void 0 && !known.groups.has(finding.group)) {
      report(finding.id, "group", `"${finding.group}" is not among the groups`);
    }
  }
  for (const { id, forAdvice, group } of library.findings) {
    if (!used.has(id) && !forAdvice && group === void 0)
      report(id, "(entry)", "no cause uses this finding; remove it or use it");
  }
}
function checkSources(library, known, report) {
  const sections = [
    library.plants,
    library.findings,
    library.groups,
    library.causes,
    library.careTopics
  ];
  for (const entry of [...sections, library.treatments, library.places].flat()) {
    if (!known.sources.has(entry.source)) {
      report(
        entry.id,
        "source",
        `"${entry.source}" is neither practice nor judgement nor in sources/`
      );
    }
  }
}
function checkRates(library, report) {
  const texts = [
    ...library.treatments.flatMap((t) => [
      [t.id, t.text],
      ...t.cautions.map((c) => [t.id, c])
    ]),
    ...library.causes.flatMap((c) => c.treatments.map((o) => [c.id, o.text ?? ""])),
    ...library.careTopics.flatMap((c) => c.steps.map((s) => [c.id, s.text]))
  ];
  for (const [id, text] of texts) {
    if (RATE.test(text))
      report(id, "text", "holds an application rate; the rate comes from the label");
  }
}
function checkLibrary({ library, fileOf }) {
  const issues = [];
  const report = (id, field, message) => {
    issues.push({ file: fileOf.get(id) ?? "(unknown file)", id, field, message });
  };
  const known = knownIds(library);
  checkUnique(library, report);
  for (const cause of library.causes) checkCause(cause, known, report);
  checkFindings(library, known, report);
  checkSources(library, known, report);
  checkRates(library, report);
  for (const plant of library.plants) {
    for (const parent of plant.parents) {
      if (!known.plants.has(parent))
        report(plant.id, "parents", `"${parent}" is not among the plants`);
    }
  }
  for (const topic of library.careTopics) {
    for (const host of Object.keys(topic.hosts)) {
      if (!known.plants.has(host)) report(topic.id, "hosts", `"${host}" is not among the plants`);
    }
  }
  return issues;
}

// src/core/language/stem.ts
var IRREGULAR = new Map(
  Object.entries({
    leaves: "leaf",
    leafs: "leaf",
    lvs: "leaf",
    grey: "gray",
    greyish: "grayish",
    mould: "mold",
    mouldy: "moldy",
    colour: "color",
    coloured: "color",
    discoloured: "discolor",
    discolored: "discolor",
    centre: "center",
    centres: "center",
    dying: "die",
    dies: "die",
    died: "die",
    eaten: "eat",
    ate: "eat",
    fell: "fall",
    fallen: "fall",
    fallin: "fall",
    shrivelled: "shrivel",
    shriveled: "shrivel",
    curly: "curl",
    overnite: "overnight",
    mice: "mouse",
    roses: "rose",
    grew: "grow",
    grown: "grow",
    splitting: "split",
    rotten: "rot",
    rotted: "rot",
    rotting: "rot",
    rots: "rot",
    went: "go",
    gone: "go",
    goes: "go",
    going: "go",
    froze: "freeze",
    frozen: "freeze",
    chopped: "chop",
    dug: "dig",
    digging: "dig",
    cut: "cut",
    torn: "tear",
    stunted: "stunt",
    berries: "berry",
    cherries: "cherry",
    bunches: "bunch",
    tomatoe: "tomato",
    tomatoes: "tomato",
    tomatos: "tomato",
    potatoes: "potato",
    citrus: "citrus",
    cactus: "cactus",
    cacti: "cactus",
    ficus: "ficus",
    hibiscus: "hibiscus",
    iris: "iris",
    grass: "grass",
    moss: "moss",
    fungus: "fungus",
    fungi: "fungus",
    roots: "root",
    this: "this",
    was: "was",
    has: "has",
    is: "is",
    its: "its",
    always: "always",
    yes: "yes",
    us: "us",
    during: "during",
    spring: "spring",
    string: "string",
    thing: "thing",
    nothing: "nothing",
    something: "something",
    anything: "anything",
    everything: "everything",
    evening: "evening",
    morning: "morning",
    ring: "ring",
    rings: "ring",
    seed: "seed",
    weed: "weed",
    feed: "feed",
    fed: "feed",
    reed: "reed",
    red: "red",
    bed: "bed",
    need: "need",
    webbing: "web",
    dropping: "droppings",
    droppings: "droppings",
    webs: "web",
    wee: "wee"
  })
);
var VOWEL = /[aeiouy]/;
var DOUBLED = /([bdgkmnprt])\1$/;
function withoutSuffix(word) {
  if (word.length > 4 && word.endsWith("ies")) return `${word.slice(0, -3)}y`;
  if (word.length > 4 && /(?:s|x|z|ch|sh)es$/.test(word)) return word.slice(0, -2);
  if (word.length > 3 && word.endsWith("s") && !/[sui]s$/.test(word.slice(-2)))
    return word.slice(0, -1);
  if (word.length > 5 && word.endsWith("ing") && VOWEL.test(word.slice(0, -3))) {
    return word.slice(0, -3).replace(DOUBLED, "$1");
  }
  if (word.length > 4 && word.endsWith("ed") && VOWEL.test(word.slice(0, -2))) {
    return word.slice(0, -2).replace(DOUBLED, "$1");
  }
  return word;
}
function stem(word) {
  const bare = word.replace(/['’]s$/, "").replace(/['’]/g, "");
  const shorter = IRREGULAR.get(bare) ?? withoutSuffix(bare);
  return shorter.length > 3 && shorter.endsWith("e") ? shorter.slice(0, -1) : shorter;
}
function stemSet(words) {
  return new Set(words.split(" ").map(stem));
}

// src/core/language/tokens.ts
var WORD = /[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu;
var SENTENCE_END = /[.!?;\n:]/;
var PAUSE = /[,()[\]–—]|\s-\s/;
function tokenize(text) {
  const tokens = [];
  let sentence = 0;
  let end = 0;
  for (const match of text.matchAll(WORD)) {
    const between = text.slice(end, match.index);
    if (tokens.length > 0 && endsSentence(between, text, match.index)) sentence++;
    const word = match[0].toLowerCase();
    end = match.index + match[0].length;
    tokens.push({
      start: match.index,
      end,
      word,
      stem: stem(word),
      sentence,
      pauseBefore: PAUSE.test(between)
    });
  }
  return tokens;
}
function wordsIn(text) {
  return text.toLowerCase().match(WORD) ?? [];
}
var SHORTENED = /\b(st|mt|mr|mrs|ms|dr|jr|vs|approx)$/i;
function endsSentence(between, text, next) {
  if (!SENTENCE_END.test(between)) return false;
  if (between === ". " && SHORTENED.test(text.slice(Math.max(0, next - 9), next - 2))) return false;
  const decimal = between === "." && /\d/.test(text[next] ?? "") && /\d/.test(text[next - 2] ?? "");
  return !decimal;
}

// src/core/language/descriptions.ts
var EMPTY = stemSet(
  "a an the and or but of in on at to for from with without by as is are was were be been it its they them their this that these those there here i me my we our you your he she his her do does did have has had will would can could should may might not no so too very just some any all each one two three then than when what which who how why where if about into out over under up down off again also only more most much many few plant tree leaf grow get look see know think thing year week day month time now garden"
);
function sensesOf(classes) {
  const byStem = /* @__PURE__ */ new Map();
  for (const [name, stems] of classes)
    for (const stem2 of stems) byStem.set(stem2, [...byStem.get(stem2) ?? [], `@${name}`]);
  return (stem2) => [stem2, ...byStem.get(stem2) ?? []];
}
var LEAST_STRENGTH = 0.3;
var AFTERTHOUGHT = 0.5;
function readerOf(senses, numbers) {
  const numberOf = (sense) => {
    const known = numbers.get(sense);
    if (known !== void 0) return known;
    numbers.set(sense, numbers.size);
    return numbers.size - 1;
  };
  const byWord = /* @__PURE__ */ new Map();
  const numbersOf = (word) => {
    const known = byWord.get(word);
    if (known) return known;
    const root = stem(word);
    const own = EMPTY.has(root) ? [] : senses(root).map(numberOf);
    byWord.set(word, own);
    return own;
  };
  return (text) => {
    const found = /* @__PURE__ */ new Set();
    for (const word of wordsIn(text)) for (const sense of numbersOf(word)) found.add(sense);
    return [...found];
  };
}
function sensesFor(cause, { strengths, treatments }, read, ofFinding) {
  const shown = [...strengths.get(cause.id) ?? []].flatMap(
    ([id, strength]) => strength < LEAST_STRENGTH ? [] : [[ofFinding(id), strength]]
  );
  const care = cause.category === "care" ? cause.treatments : [];
  return [
    [read([cause.name, ...cause.aliases, cause.say].join(" ")), 1],
    [read(cause.expect ?? ""), AFTERTHOUGHT],
    ...care.map(({ use }) => [read(treatments.get(use)?.text ?? ""), AFTERTHOUGHT]),
    ...shown
  ];
}
function wordsOf(phrases) {
  return phrases.join(" ").replace(/(^|\s)[-~>]\S*/g, " ").replace(/@[a-z-]+/g, " ").replaceAll("|", " ");
}
function usersOf(texts, senses) {
  const users = Array.from({ length: senses }, () => ({ causes: [], weights: [] }));
  const own = new Float64Array(senses);
  texts.forEach((lists, cause) => {
    const met = [];
    for (const [list, weight] of lists)
      for (const sense of list) {
        if (own[sense] === 0) met.push(sense);
        own[sense] = Math.max(own[sense] ?? 0, weight);
      }
    for (const sense of met) {
      users[sense]?.causes.push(cause);
      users[sense]?.weights.push(own[sense] ?? 0);
      own[sense] = 0;
    }
  });
  return users;
}
function buildDescriptions(described) {
  const senses = sensesOf(described.classes);
  const numbers = /* @__PURE__ */ new Map();
  const read = readerOf(senses, numbers);
  const findings = /* @__PURE__ */ new Map();
  for (const { id, label, question, phrases } of described.findings.values())
    findings.set(id, read(`${label} ${question} ${wordsOf(phrases)}`));
  const texts = described.causes.map(
    (cause) => sensesFor(cause, described, read, (id) => findings.get(id) ?? [])
  );
  const users = usersOf(texts, numbers.size);
  const uses = /* @__PURE__ */ new Map();
  for (const [sense, number] of numbers) {
    const { causes, weights } = users[number] ?? { causes: [], weights: [] };
    const rarity = Math.log((described.causes.length + 1) / (causes.length + 1));
    uses.set(sense, {
      causes: Int32Array.from(causes),
      nats: Float64Array.from(weights, (weight) => weight * rarity)
    });
  }
  return { senses, uses, number: new Map(described.causes.map(({ id }, i) => [id, i])) };
}

// src/core/language/phraseIndex.ts
function rarestTerm(phrase, uses) {
  let best = 0;
  let fewest = Infinity;
  phrase.terms.forEach((term, i) => {
    let count = 0;
    for (const word of term) count += uses.get(word) ?? 0;
    if (count < fewest) [best, fewest] = [i, count];
  });
  return best;
}
function countUses(phrases) {
  const uses = /* @__PURE__ */ new Map();
  for (const { terms } of phrases) {
    for (const term of terms) for (const word of term) uses.set(word, (uses.get(word) ?? 0) + 1);
  }
  return uses;
}
function nearest(tokens, term, anchor, reach, taken) {
  const sentence = tokens[anchor]?.sentence;
  for (let step = 1; step < reach; step++) {
    for (const position of [anchor + step, anchor - step]) {
      const token = tokens[position];
      if (token?.sentence === sentence && token !== void 0 && term.has(token.stem) && !taken.includes(position)) {
        return position;
      }
    }
  }
  return null;
}
var WORDS_PER_PAUSE = 2;
function stretch(tokens, first, last) {
  let pauses = 0;
  for (let i = first + 1; i <= last; i++) if (tokens[i]?.pauseBefore === true) pauses++;
  return last - first + WORDS_PER_PAUSE * pauses;
}
function matchAround(tokens, phrase, anchorTerm, anchor) {
  const taken = [anchor];
  const positions = [];
  for (const [i, term] of phrase.terms.entries()) {
    const position = i === anchorTerm ? anchor : nearest(tokens, term, anchor, phrase.reach, taken);
    if (position === null) return null;
    positions.push(position);
    taken.push(position);
  }
  const first = Math.min(...positions);
  const last = Math.max(...positions);
  if (stretch(tokens, first, last) >= phrase.reach) return null;
  if (phrase.ordered && positions.some((position, i) => i > 0 && position < (positions[i - 1] ?? 0)))
    return null;
  if (phrase.without.size > 0) {
    for (let i = Math.max(0, first - 2); i <= last; i++) {
      if (phrase.without.has(tokens[i]?.stem ?? "")) return null;
    }
  }
  return { phrase, positions };
}
function buildPhraseIndex(phrases) {
  const uses = countUses(phrases);
  const anchored = /* @__PURE__ */ new Map();
  for (const phrase of phrases) {
    const term = rarestTerm(phrase, uses);
    for (const word of phrase.terms[term] ?? []) {
      const list = anchored.get(word) ?? [];
      list.push({ phrase, term });
      anchored.set(word, list);
    }
  }
  return (tokens) => {
    const found = [];
    tokens.forEach((token, anchor) => {
      for (const { phrase, term } of anchored.get(token.stem) ?? []) {
        const match = matchAround(tokens, phrase, term, anchor);
        if (match) found.push(match);
      }
    });
    return found;
  };
}

// src/core/language/phrase.ts
var NEGATORS = stemSet(
  "no not never without none neither nor nothing cannot hardly didnt doesnt dont isnt arent wasnt werent hasnt havent hadnt cant couldnt wont wouldnt aint"
);
var EXTRA_REACH = 4;
function compileClasses(lists) {
  const classes = /* @__PURE__ */ new Map();
  const expand = (name, seen) => (lists[name] ?? []).flatMap((word) => {
    if (!word.startsWith("@")) return [stem(word)];
    return seen.includes(word) ? [] : expand(word.slice(1), [...seen, word]);
  });
  for (const name of Object.keys(lists)) classes.set(name, new Set(expand(name, [`@${name}`])));
  return classes;
}
function wordStems(word, classes) {
  if (word.startsWith("@")) return [...classes.get(word.slice(1)) ?? []];
  return word === "no" || word === "not" ? [...NEGATORS] : [stem(word)];
}
var compiledTerms = /* @__PURE__ */ new WeakMap();
function termStems(term, classes) {
  const terms = compiledTerms.get(classes) ?? /* @__PURE__ */ new Map();
  compiledTerms.set(classes, terms);
  const known = terms.get(term);
  if (known) return known;
  const stems = new Set(term.split("|").flatMap((word) => wordStems(word, classes)));
  terms.set(term, stems);
  return stems;
}
function compilePhrase(text, target, classes) {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const ordered = words[0] === ">";
  const reachWord = words.find((word) => /^~\d+$/.test(word));
  const without = words.filter((word) => word.startsWith("-")).flatMap((word) => [...termStems(word.slice(1), classes)]);
  const terms = words.filter((word) => word !== ">" && !word.startsWith("-") && !word.startsWith("~")).map((word) => termStems(word, classes));
  return {
    target,
    terms,
    without: new Set(without),
    reach: reachWord === void 0 ? terms.length + EXTRA_REACH : Number(reachWord.slice(1)),
    ordered,
    negates: terms.some((term) => [...term].some((word) => NEGATORS.has(word)))
  };
}

// src/core/language/plantNames.ts
function buildPlantNames(plants) {
  const names = /* @__PURE__ */ new Map();
  const hasKinds = new Set(plants.flatMap(({ parents }) => parents));
  for (const plant of plants) {
    const broad = (plant.rank === "group" || plant.rank === "family") && hasKinds.has(plant.id);
    const add = (name, ambiguous2) => {
      const stems = tokenize(name).map((token) => token.stem);
      const first = stems[0];
      if (first === void 0) return;
      names.set(first, [...names.get(first) ?? [], { stems, plant: plant.id, ambiguous: ambiguous2, broad }]);
    };
    const scientific = plant.scientific === void 0 ? [] : [plant.scientific];
    const ambiguous = new Set(plant.ambiguous.map((name) => name.toLowerCase()));
    for (const name of /* @__PURE__ */ new Set([plant.name.toLowerCase(), ...plant.names, ...scientific])) {
      if (!ambiguous.has(name)) add(name, false);
    }
    for (const name of ambiguous) add(name, true);
  }
  for (const list of names.values()) list.sort((a, b) => b.stems.length - a.stems.length);
  return names;
}
var SUPPORT_AFTER = stemSet(
  "tree bush shrub plant seedling hedge vine fruit leaf branch orchard grove"
);
var SUPPORT_BEFORE = stemSet("my our the a an potted these those his her me young dwarf on");
var OWN = stemSet("my our this these me");
var SCENERY = stemSet(
  "under beneath near beside behind against like neighbour neighbor by stump next unlike from"
);
var LIKE = stem("like");
var COLOUR_NOUNS = stemSet(
  "brown green yellow colour color coloured black skin oil peel shaped sized"
);

// src/core/knowledge/scale.ts
var FREQUENCY = {
  always: 0.97,
  "nearly-always": 0.9,
  usual: 0.75,
  often: 0.55,
  sometimes: 0.3,
  seldom: 0.12,
  rarely: 0.04,
  never: 0
};
var BACKGROUND = {
  common: 0.25,
  occasional: 0.1,
  uncommon: 0.04,
  rare: 0.015,
  telltale: 4e-3
};
var COMMONNESS = {
  "very-common": 8,
  common: 4,
  occasional: 2,
  uncommon: 1,
  rare: 0.35
};
var SUSCEPTIBILITY = { very: 2, usual: 1, less: 0.4, seldom: 0.12, immune: 0 };
var HARM = { none: 0, slight: 0.6, moderate: 2.5, serious: 6, severe: 12 };
var EFFECT = { slight: 0.15, useful: 0.4, good: 0.65, strong: 0.85 };
var BURDEN = { none: 0, low: 0.15, medium: 0.6, high: 1.8, "very-high": 4 };

// src/core/knowledge/hosting.ts
function causesByHost(causes) {
  const lists = /* @__PURE__ */ new Map();
  for (const { id: cause, hosts } of causes) {
    for (const host of Object.keys(hosts)) {
      const list = lists.get(host) ?? [];
      list.push({ cause, factor: SUSCEPTIBILITY[hosts[host] ?? "immune"] });
      lists.set(host, list);
    }
  }
  return lists;
}
function buildHosting(causes, taxonomy) {
  const byHost = causesByHost(causes);
  const known = /* @__PURE__ */ new Map();
  return (plant) => {
    const found = known.get(plant);
    if (found) return found;
    const nearest2 = /* @__PURE__ */ new Map();
    for (const host of taxonomy.lineage(plant))
      for (const { cause, factor } of byHost.get(host) ?? [])
        if (!nearest2.has(cause)) nearest2.set(cause, factor);
    const taken = new Map([...nearest2].filter(([, factor]) => factor > 0));
    known.set(plant, taken);
    return taken;
  };
}

// src/core/knowledge/schema/cause.ts
import { z as z5 } from "zod";

// src/core/knowledge/schema/treatment.ts
import { z as z4 } from "zod";

// src/core/knowledge/schema/window.ts
import { z as z3 } from "zod";
var SEASONS = [
  "dormant",
  "late-winter",
  "bud-break",
  "spring",
  "early-summer",
  "summer",
  "late-summer",
  "autumn",
  "growing",
  "frost-free"
];
var CALENDAR = /^(\d\d)-(\d\d)\.\.(\d\d)-(\d\d)(?: @([a-z0-9-]+))?$/;
var DEGREE_DAYS = /^dd(\d+(?:\.\d+)?) (\d+)\.\.(\d+)$/;
var DAYS_IN_MONTH = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
function monthDay(month, day) {
  const m = Number(month);
  const d = Number(day);
  const longest = DAYS_IN_MONTH[m - 1];
  return longest !== void 0 && d >= 1 && d <= longest ? { month: m, day: d } : null;
}
function parseWindow(text) {
  if (text === "any") return { kind: "any" };
  const season = SEASONS.find((name) => name === text);
  if (season) return { kind: "season", season };
  const calendar = CALENDAR.exec(text);
  if (calendar) {
    const from2 = monthDay(calendar[1], calendar[2]);
    const to2 = monthDay(calendar[3], calendar[4]);
    return from2 && to2 ? { kind: "calendar", from: from2, to: to2, at: calendar[5] ?? null } : null;
  }
  const heat = DEGREE_DAYS.exec(text);
  if (!heat) return null;
  const [from, to] = [Number(heat[2]), Number(heat[3])];
  return to > from ? { kind: "degree-days", baseCelsius: Number(heat[1]), from, to } : null;
}
var windowSchema = z3.string().transform((text, context) => {
  const rule = parseWindow(text);
  if (rule) return rule;
  context.addIssue({
    code: "custom",
    message: `"${text}" is no window: write any, ${SEASONS.join(", ")}, 05-20..06-10, 05-20..06-10 @place or dd10 200..350`
  });
  return z3.NEVER;
});

// src/core/knowledge/schema/treatment.ts
var RUNGS = [
  "leave",
  "hand",
  "conditions",
  "biological",
  "low-toxicity",
  "conventional",
  "professional",
  "replace"
];
var PRODUCT_CLASSES = [
  "insecticide",
  "miticide",
  "molluscicide",
  "fungicide",
  "bactericide",
  "herbicide",
  "rodenticide",
  "repellent",
  "nutrient"
];
var limitsSchema = z4.strictObject({
  maxCelsius: z4.number().optional(),
  minCelsius: z4.number().optional(),
  maxWindKmh: z4.number().optional(),
  rainFreeHours: z4.number().optional(),
  timeOfDay: z4.enum(["morning", "evening", "any"]).default("any")
});
var treatmentSchema = z4.strictObject({
  id: treatmentIdSchema,
  name: z4.string().min(3),
  rung: z4.enum(RUNGS),
  /** Product classes this treatment acts as; empty for a practice. */
  classes: z4.array(z4.enum(PRODUCT_CLASSES)).default([]),
  /** May be used by people who garden organically (common practice; local rules decide). */
  organic: z4.boolean().default(true),
  systemic: z4.boolean().default(false),
  restricted: z4.boolean().default(false),
  oilOrSoap: z4.boolean().default(false),
  /** Work above head height on a tall plant. */
  aloft: z4.boolean().default(false),
  /** Dangerous to dogs, cats or children who find it. */
  petHazard: z4.boolean().default(false),
  /** Mode-of-action group as printed on labels, for example "FRAC M5". */
  modeOfAction: z4.string().optional(),
  who: z4.enum(["anyone", "arborist", "licensed", "wildlife", "pest-control"]).default("anyone"),
  /** What to do, in plain words. */
  text: z4.string().min(10),
  when: windowSchema.optional(),
  limits: limitsSchema.optional(),
  repeat: z4.strictObject({ everyDays: z4.number().int(), times: z4.number().int() }).optional(),
  cautions: z4.array(z4.string()).default([]),
  effort: wordOf(BURDEN).default("low"),
  money: wordOf(BURDEN).default("none"),
  source: sourceRefSchema
});

// src/core/knowledge/schema/cause.ts
var CATEGORIES = [
  "insect",
  "mite",
  "mollusc",
  "nematode",
  "fungus",
  "oomycete",
  "bacterium",
  "virus",
  "vertebrate",
  "weed",
  "nutrient",
  "water",
  "temperature",
  "light",
  "chemical",
  "mechanical",
  "care",
  "normal"
];
var harmSchema = z5.strictObject({
  looks: wordOf(HARM).default("none"),
  yield: wordOf(HARM).default("none"),
  plant: wordOf(HARM).default("none"),
  neighbours: wordOf(HARM).default("none"),
  people: wordOf(HARM).default("none"),
  /** How fast the harm grows if nothing is done. */
  pace: z5.enum(["days", "weeks", "months", "years", "none"]).default("none")
});
var optionSchema = z5.strictObject({
  use: treatmentIdSchema,
  effect: wordOf(EFFECT),
  when: windowSchema.optional(),
  text: z5.string().optional()
});
var stageSchema = z5.strictObject({
  name: z5.string(),
  when: windowSchema,
  shows: z5.array(findingIdSchema).default([])
});
var avoidSchema = z5.strictObject({ text: z5.string(), why: z5.string() });
var causeSchema = z5.strictObject({
  id: causeIdSchema,
  name: z5.string().min(3),
  scientific: z5.string().optional(),
  aliases: z5.array(z5.string()).default([]),
  category: z5.enum(CATEGORIES),
  hosts: z5.record(plantIdSchema, wordOf(SUSCEPTIBILITY)),
  common: wordOf(COMMONNESS),
  findings: z5.record(findingIdSchema, wordOf(FREQUENCY)),
  /** Causes that this one invites. */
  leadsTo: z5.array(causeIdSchema).default([]),
  /** When it can be seen; out of this window it is less likely, not impossible. */
  seen: windowSchema.default({ kind: "any" }),
  stages: z5.array(stageSchema).default([]),
  /** Set where neither the cause nor what is done about it has a season. */
  timing: z5.literal("none").optional(),
  harm: harmSchema,
  lookAlikes: z5.array(z5.strictObject({ id: causeIdSchema, tells: z5.string() })).default([]),
  /** One sentence to say aloud. */
  say: z5.string().min(10),
  /** Why it may be left alone; set where no treatment is needed. */
  leave: z5.string().optional(),
  treatments: z5.array(optionSchema).default([]),
  avoid: z5.array(avoidSchema).default([]),
  /** What to expect, and what would mean the cause was another. */
  expect: z5.string().optional(),
  /** Sample or visit that confirms it, where being wrong is costly. */
  confirm: z5.string().optional(),
  cautions: z5.array(z5.string()).default([]),
  /** When to look again, in days from the advice. */
  lookAgainDays: z5.number().int().min(1).max(400).default(14),
  source: sourceRefSchema
});
var careTopicSchema = z5.strictObject({
  id: causeIdSchema,
  name: z5.string().min(3),
  aliases: z5.array(z5.string()).default([]),
  hosts: z5.record(plantIdSchema, wordOf(SUSCEPTIBILITY)),
  phrases: z5.array(z5.string()).min(1),
  say: z5.string().min(10),
  steps: z5.array(
    z5.strictObject({
      text: z5.string().min(10),
      rung: z5.enum(RUNGS),
      when: windowSchema.optional()
    })
  ).min(1),
  avoid: z5.array(avoidSchema).default([]),
  cautions: z5.array(z5.string()).default([]),
  lookAgainDays: z5.number().int().min(1).max(400).default(60),
  source: sourceRefSchema
});

// src/core/knowledge/schema/finding.ts
import { z as z7 } from "zod";

// src/core/knowledge/schema/plate.ts
import { z as z6 } from "zod";

// src/core/result.ts
function ok(value) {
  return { ok: true, value };
}
function fail(error) {
  return { ok: false, error };
}

// src/core/knowledge/schema/plate.ts
var FIGURES = [
  "leaf",
  "shoot",
  "needles",
  "bundle",
  "stem",
  "trunk",
  "tree",
  "flower",
  "fruit",
  "root",
  "bulb",
  "turf",
  "ground",
  "creature"
];
var FORMS = [
  "curled",
  "cupped",
  "rolled",
  "twisted",
  "narrow",
  "puckered",
  "wilted",
  "lobed",
  "torn",
  "folded",
  "broken",
  "twos",
  "fives",
  "beetle",
  "bug",
  "caterpillar",
  "grub",
  "fly",
  "hopper"
];
var REGIONS = [
  "veins",
  "edge",
  "tip",
  "base",
  "half",
  "centre",
  "lower",
  "upper"
];
var MARKS = [
  "spots",
  "rings",
  "angular",
  "streaks",
  "stipple",
  "patches",
  "mines",
  "holes",
  "notches",
  "lace",
  "powder",
  "pustules",
  "webbing",
  "bumps",
  "fluff",
  "threads",
  "drops",
  "soot",
  "galls",
  "cracks",
  "canker",
  "insects",
  "larvae",
  "eggs",
  "exits",
  "frass",
  "crust",
  "bands",
  "mushrooms",
  "brackets",
  "tufts",
  "slime",
  "bags",
  "horns",
  "circling",
  "gnawed"
];
var COLOURS = [
  "green",
  "dark-green",
  "pale-green",
  "yellow",
  "brown",
  "tan",
  "black",
  "white",
  "gray",
  "orange",
  "red",
  "purple",
  "pink",
  "blue",
  "silver",
  "cream",
  "olive",
  "amber"
];
var SIZES = ["tiny", "small", "medium", "large"];
var AMOUNTS = ["one", "few", "some", "many"];
var PLACES = [
  "all-over",
  "at-edge",
  "on-veins",
  "between-veins",
  "at-tip",
  "at-base",
  "on-side",
  "in-middle"
];
var SHAPES = ["round", "oval", "d-shaped"];
var oneOf = (list, word) => list.find((one) => one === word);
var MARK_WORDS = [...COLOURS, ...SIZES, ...AMOUNTS, ...PLACES, ...SHAPES];
function readMark(kind, words) {
  const [colour, rim] = words.flatMap((word) => oneOf(COLOURS, word) ?? []);
  const pick = (list, otherwise) => words.map((word) => oneOf(list, word)).find((word) => word !== void 0) ?? otherwise;
  return {
    kind,
    ...colour && { colour },
    ...rim && { rim },
    size: pick(SIZES, "small"),
    amount: pick(AMOUNTS, "some"),
    place: pick(PLACES, "all-over"),
    shape: pick(SHAPES, "round")
  };
}
function readClause(plate, clause) {
  const [head = "", ...rest] = clause.split(/\s+/);
  const region = oneOf(REGIONS, head);
  if (region) {
    const colour2 = oneOf(COLOURS, rest.join(" "));
    return colour2 ? ok({ ...plate, regions: [...plate.regions, { region, colour: colour2 }] }) : fail({ word: rest.join(" "), expected: COLOURS });
  }
  const kind = oneOf(MARKS, head);
  if (kind) {
    const unknown = rest.find((word) => !MARK_WORDS.includes(word));
    return unknown === void 0 ? ok({ ...plate, marks: [...plate.marks, readMark(kind, rest)] }) : fail({ word: unknown, expected: MARK_WORDS });
  }
  const [form, colour] = [oneOf(FORMS, clause), oneOf(COLOURS, clause)];
  return form ?? colour ? ok({ ...plate, ...form && { form }, ...colour && { colour } }) : fail({ word: clause, expected: [...REGIONS, ...MARKS, ...FORMS, ...COLOURS] });
}
function readPlate(text) {
  const [first = "", ...clauses] = text.split(",").map((clause) => clause.trim());
  const figure = oneOf(FIGURES, first);
  if (!figure) return fail({ word: first, expected: FIGURES });
  let plate = { figure, regions: [], marks: [] };
  for (const clause of clauses) {
    const reading = readClause(plate, clause);
    if (!reading.ok) return reading;
    plate = reading.value;
  }
  return ok(plate);
}
var plateSchema = z6.string().superRefine((text, context) => {
  const reading = text === "none" ? null : readPlate(text);
  if (reading?.ok === false)
    context.addIssue(
      `"${reading.error.word}" cannot stand here; use one of: ${reading.error.expected.join(", ")}`
    );
});

// src/core/knowledge/schema/finding.ts
var PARTS = [
  "whole",
  "leaf",
  "needle",
  "flower",
  "fruit",
  "stem",
  "trunk",
  "root",
  "bulb",
  "soil",
  "turf",
  "around",
  "history"
];
var findingSchema = z7.strictObject({
  id: findingIdSchema,
  part: z7.enum(PARTS),
  kind: z7.enum(["symptom", "sign", "pattern", "context", "test"]),
  label: z7.string().min(3),
  /** Plain words, ready to read aloud. */
  question: z7.string().endsWith("?"),
  how: z7.string().optional(),
  /** Time the question costs on the telephone, in seconds. */
  seconds: z7.number().int().min(3).max(600).default(10),
  needs: z7.enum(["ask", "look", "tool", "lab"]).default("ask"),
  background: wordOf(BACKGROUND),
  /** A more general finding that this one implies. */
  isA: z7.array(findingIdSchema).default([]),
  /** Exclusive group: at most one finding of the group holds for a plant. */
  group: idSchema.optional(),
  /** Enquirers mention it unasked when it is there, so silence counts a little against it. */
  noticeable: z7.boolean().default(false),
  /** May be put as a question. */
  askable: z7.boolean().default(true),
  /** Asked for the sake of safe advice, so no cause needs to show it. */
  forAdvice: z7.boolean().default(false),
  /** Ways people say it, in the phrase language of language/phrase.ts. */
  phrases: z7.array(z7.string()).default([]),
  /** What its drawing shows, read by `readPlate`; `none` where words say it all. */
  plate: plateSchema.optional(),
  source: sourceRefSchema
});
var findingGroupSchema = z7.strictObject({
  id: idSchema,
  question: z7.string().endsWith("?"),
  how: z7.string().optional(),
  seconds: z7.number().int().min(3).max(600).default(12),
  source: sourceRefSchema
});
var wordClassesSchema = z7.record(idSchema, z7.array(z7.string()).min(1));

// src/core/knowledge/careTopics.ts
var askingFor = (topicId) => `asks-${topicId}`;
function careCause(topic) {
  return causeSchema.parse({
    id: topic.id,
    name: topic.name,
    aliases: topic.aliases,
    category: "care",
    hosts: topic.hosts,
    common: "occasional",
    findings: { [askingFor(topic.id)]: "always" },
    harm: { looks: "moderate", pace: "months" },
    say: topic.say,
    treatments: topic.steps.map((_, i) => ({ use: `${topic.id}-${i + 1}`, effect: "good" })),
    avoid: topic.avoid,
    cautions: topic.cautions,
    lookAgainDays: topic.lookAgainDays,
    source: topic.source
  });
}
function careFinding(topic) {
  return findingSchema.parse({
    id: askingFor(topic.id),
    part: "history",
    kind: "context",
    label: `Asks: ${topic.name}`,
    question: `Is your question about this: ${topic.name.toLowerCase()}?`,
    seconds: 5,
    background: "telltale",
    noticeable: true,
    askable: false,
    phrases: topic.phrases,
    source: topic.source
  });
}
function careTreatments(topic) {
  return topic.steps.map((step, i) => {
    const treatment = treatmentSchema.parse({
      id: `${topic.id}-${i + 1}`,
      name: topic.name,
      rung: step.rung,
      text: step.text,
      source: topic.source
    });
    return step.when === void 0 ? treatment : { ...treatment, when: step.when };
  });
}

// src/core/knowledge/strengths.ts
function strengthsOf(cause, implied) {
  const strengths = /* @__PURE__ */ new Map();
  for (const [id, word] of Object.entries(cause.findings)) {
    for (const one of implied(id)) {
      strengths.set(one, Math.max(strengths.get(one) ?? 0, FREQUENCY[word]));
    }
  }
  return strengths;
}
function shownBy(strengths) {
  const table = /* @__PURE__ */ new Map();
  for (const [cause, list] of strengths) {
    for (const [finding, strength] of list) {
      const row = table.get(finding) ?? /* @__PURE__ */ new Map();
      if (strength > 0) row.set(cause, strength);
      table.set(finding, row);
    }
  }
  return table;
}

// src/core/knowledge/taxonomy.ts
function climb(start, byId2) {
  const order = [];
  const queue = [start];
  for (let id = queue.shift(); id !== void 0; id = queue.shift()) {
    if (order.includes(id) || !byId2.has(id)) continue;
    order.push(id);
    queue.push(...byId2.get(id)?.parents ?? []);
  }
  return order;
}
function buildTaxonomy(plants) {
  const byId2 = new Map(plants.map((plant) => [plant.id, plant]));
  const lineages = new Map(plants.map(({ id }) => [id, climb(id, byId2)]));
  const descendants = /* @__PURE__ */ new Map();
  for (const [id, line] of lineages) {
    for (const ancestor of line.slice(1)) {
      descendants.set(ancestor, [...descendants.get(ancestor) ?? [], id]);
    }
  }
  const lineage = (id) => lineages.get(id) ?? [];
  return {
    lineage,
    below: (id) => descendants.get(id) ?? [],
    traits: (id) => [...lineage(id)].reverse().reduce((all, one) => ({ ...all, ...byId2.get(one)?.traits }), {})
  };
}

// src/core/knowledge/compile.ts
var byId = (entries) => new Map(entries.map((entry) => [entry.id, entry]));
function impliedBy(findings) {
  const known = /* @__PURE__ */ new Map();
  const walk = (id, seen) => {
    if (seen.has(id)) return;
    seen.add(id);
    for (const parent of findings.get(id)?.isA ?? []) walk(parent, seen);
  };
  return (id) => {
    const found = known.get(id);
    if (found) return found;
    const seen = /* @__PURE__ */ new Set();
    walk(id, seen);
    const list = [...seen];
    known.set(id, list);
    return list;
  };
}
function compileLibrary(library) {
  const allFindings = [...library.findings, ...library.careTopics.map(careFinding)];
  const allCauses = [...library.causes, ...library.careTopics.map(careCause)];
  const findings = byId(allFindings);
  const implied = impliedBy(findings);
  const classes = compileClasses(library.wordClasses);
  const taxonomy = buildTaxonomy(library.plants);
  const strengths = new Map(allCauses.map((cause) => [cause.id, strengthsOf(cause, implied)]));
  const treatments = byId([
    ...library.treatments,
    ...library.careTopics.flatMap(careTreatments)
  ]);
  const groupMembers = /* @__PURE__ */ new Map();
  for (const finding of library.findings) {
    if (finding.group === void 0) continue;
    groupMembers.set(finding.group, [...groupMembers.get(finding.group) ?? [], finding]);
  }
  return {
    version: library.version,
    plants: byId(library.plants),
    findings,
    groups: byId(library.groups),
    groupMembers,
    causes: byId(allCauses),
    treatments,
    places: library.places,
    taxonomy,
    plantNames: buildPlantNames(library.plants),
    phrases: buildPhraseIndex(
      allFindings.flatMap(
        (finding) => finding.phrases.map((text) => compilePhrase(text, finding, classes))
      )
    ),
    implied,
    strengths,
    descriptions: buildDescriptions({
      causes: allCauses,
      findings,
      treatments,
      strengths,
      classes
    }),
    shownBy: shownBy(strengths),
    hosting: buildHosting(allCauses, taxonomy)
  };
}

// src/core/knowledge/read.ts
import { z as z10 } from "zod";

// src/core/knowledge/schema/place.ts
import { z as z8 } from "zod";
var monthly = z8.array(z8.number()).length(12, "twelve monthly values, January first");
var placeSchema = z8.strictObject({
  id: placeIdSchema,
  name: z8.string(),
  climate: z8.string(),
  latitude: z8.number().min(-90).max(90),
  longitude: z8.number().min(-180).max(180),
  elevationMetres: z8.number(),
  /** Mean daily minimum and maximum in Celsius, and rain in millimetres, for each month. */
  minCelsius: monthly,
  maxCelsius: monthly,
  rainMillimetres: monthly,
  source: sourceRefSchema
}).refine(
  (place) => place.minCelsius.every((low, month) => low < (place.maxCelsius[month] ?? low)),
  {
    error: "each monthly minimum is below the maximum of the same month",
    path: ["minCelsius"]
  }
);

// src/core/knowledge/schema/plant.ts
import { z as z9 } from "zod";
var traitsSchema = z9.strictObject({
  /** Which part is eaten, or none. */
  edible: z9.enum(["fruit", "leaf", "root", "none"]).optional(),
  woody: z9.boolean().optional(),
  evergreen: z9.boolean().optional(),
  indoors: z9.boolean().optional(),
  /** Grows beyond what can be reached from the ground. */
  tall: z9.boolean().optional(),
  beeVisited: z9.boolean().optional(),
  poisonous: z9.boolean().optional(),
  /** When it is in flower, as a window; used to keep insecticide off open blossom. */
  bloom: z9.string().optional()
});
var plantSchema = z9.strictObject({
  id: plantIdSchema,
  name: z9.string().min(2),
  scientific: z9.string().optional(),
  rank: z9.enum(["group", "family", "genus", "species"]).default("species"),
  parents: z9.array(plantIdSchema).default([]),
  /** Names people use, in singular; plurals and small slips are found without listing them. */
  names: z9.array(z9.string()).default([]),
  /** Names that are also ordinary words (olive, lime): counted only beside a word such as tree, bush or my. */
  ambiguous: z9.array(z9.string()).default([]),
  traits: traitsSchema.default({}),
  /** How often people ask about it; weighs the hosts when the plant is not known. */
  common: wordOf(COMMONNESS).default("occasional"),
  /** Set where the plant has no normal look that worries people. */
  normalLooks: z9.literal("none").optional(),
  source: sourceRefSchema
});

// src/core/knowledge/hash.ts
var PRIME = 16777619;
var BASES = [2166136261, 2654435769];
function hashText(text) {
  return BASES.map((basis) => {
    let hash = basis;
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), PRIME);
    return (hash >>> 0).toString(16).padStart(8, "0");
  }).join("");
}

// src/core/knowledge/read.ts
var SECTIONS = {
  plants: plantSchema,
  findings: findingSchema,
  causes: causeSchema,
  care: careTopicSchema,
  treatments: treatmentSchema,
  places: placeSchema
};
var identified = z10.object({ id: z10.string() });
function readEntry(schema, entry, file, issues, files) {
  const named = identified.safeParse(entry);
  const id = named.success ? named.data.id : "(no id)";
  const parsed = schema.safeParse(entry);
  if (parsed.success) {
    files.set(id, file);
    return [parsed.data];
  }
  for (const issue of parsed.error.issues) {
    issues.push({ file, id, field: issue.path.join(".") || "(entry)", message: issue.message });
  }
  return [];
}
var withDefaults = z10.strictObject({
  defaults: z10.record(z10.string(), z10.unknown()),
  entries: z10.array(z10.record(z10.string(), z10.unknown()))
});
function entriesOf(content) {
  const list = z10.array(z10.unknown()).safeParse(content);
  if (list.success) return list.data;
  const shared = withDefaults.safeParse(content);
  if (!shared.success) return null;
  return shared.data.entries.map((entry) => ({ ...shared.data.defaults, ...entry }));
}
function readSection(folder, schema, input, issues, files) {
  return input.filter(({ file }) => file.startsWith(`${folder}/`)).flatMap(({ file, content }) => {
    const entries = entriesOf(content);
    if (entries) return entries.flatMap((entry) => readEntry(schema, entry, file, issues, files));
    const message = 'the file must hold a list of entries, or "defaults" and "entries"';
    issues.push({ file, id: "(file)", field: "(file)", message });
    return [];
  });
}
function readWordClasses(input, issues) {
  const file = input.find((one) => one.file === "words.yaml");
  const parsed = wordClassesSchema.safeParse(file?.content ?? {});
  if (parsed.success) return parsed.data;
  for (const issue of parsed.error.issues) {
    issues.push({
      file: "words.yaml",
      id: issue.path.join("."),
      field: "(list)",
      message: issue.message
    });
  }
  return {};
}
function libraryVersion(input) {
  return hashText(
    input.map(({ file, text }) => `${file}
${text}`).sort().join("\n")
  );
}
function readLibrary(input) {
  const issues = [];
  const files = /* @__PURE__ */ new Map();
  const library = {
    version: libraryVersion(input),
    plants: readSection("plants", SECTIONS.plants, input, issues, files),
    findings: readSection("findings", SECTIONS.findings, input, issues, files),
    groups: readSection("groups", findingGroupSchema, input, issues, files),
    wordClasses: readWordClasses(input, issues),
    causes: readSection("causes", SECTIONS.causes, input, issues, files),
    careTopics: readSection("care", SECTIONS.care, input, issues, files),
    treatments: readSection("treatments", SECTIONS.treatments, input, issues, files),
    places: readSection("places", SECTIONS.places, input, issues, files),
    sources: readSection("sources", sourceSchema, input, issues, files)
  };
  return issues.length > 0 ? fail(issues) : ok({ library, fileOf: files });
}

// src/server/knowledge/keptLibrary.ts
import { mkdirSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { join } from "node:path";
var FOLDER = join("node_modules", ".cache", "sounding");
var FORM = 2;
var pathOf = (version) => join(FOLDER, `library-${FORM}-${version}.json`);
function readKept(version) {
  try {
    return JSON.parse(readFileSync(pathOf(version), "utf8"));
  } catch {
    return null;
  }
}
function keep(library) {
  try {
    mkdirSync(FOLDER, { recursive: true });
    const draft = `${pathOf(library.version)}.${process.pid}`;
    writeFileSync(draft, JSON.stringify(library));
    renameSync(draft, pathOf(library.version));
  } catch {
    return;
  }
}

// src/server/knowledge/loadLibrary.ts
function listYaml(folder) {
  return readdirSync(folder).map((name) => join2(folder, name)).flatMap(
    (path) => statSync(path).isDirectory() ? listYaml(path) : path.endsWith(".yaml") ? [path] : []
  );
}
function readTexts(folder) {
  return listYaml(folder).map((path) => ({
    file: relative(folder, path).split(sep).join("/"),
    text: readFileSync2(path, "utf8")
  }));
}
function parseTexts(texts) {
  const issues = [];
  const files = texts.map(({ file, text }) => {
    const lines = new LineCounter();
    const document = parseDocument(text, { lineCounter: lines });
    for (const error of document.errors) {
      const { line } = lines.linePos(error.pos[0]);
      const message = error.message.split("\n")[0] ?? "";
      issues.push({ file, id: "(file)", field: `line ${line}`, message });
    }
    return { file, text, content: document.errors.length > 0 ? [] : document.toJS() };
  });
  return issues.length > 0 ? fail(issues) : ok(files);
}
function readCheckedLibrary(folder) {
  const texts = readTexts(folder);
  const version = libraryVersion(texts);
  const kept = readKept(version);
  if (kept) return ok(kept);
  const files = parseTexts(texts);
  if (!files.ok) return files;
  const read = readLibrary(files.value);
  if (!read.ok) return read;
  const issues = checkLibrary(read.value);
  if (issues.length > 0) return fail(issues);
  keep(read.value.library);
  return ok(read.value.library);
}

// ct.tmp.ts
var r = readCheckedLibrary("knowledge");
if (!r.ok) throw 1;
var ts = [];
for (let i = 0; i < 1; i++) {
  const a = performance.now();
  compileLibrary(r.value);
  ts.push((performance.now() - a).toFixed(0));
}
console.log(ts.join(" "), 0, 0, 0);
