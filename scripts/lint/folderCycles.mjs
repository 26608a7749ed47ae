import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

const IMPORT = /(?:\bfrom|\bimport\s*\(?)\s*'(\.[^']+)'/g;
const isSource = (name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name);

function sourcesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sourcesBelow(path);
    return isSource(entry.name) ? [path] : [];
  });
}

/** Which folder imports from which others, files of tests left out. */
export function folderImports(root) {
  const imports = new Map();
  for (const file of sourcesBelow(root))
    for (const [, specifier] of readFileSync(file, 'utf8').matchAll(IMPORT)) {
      const target = resolve(dirname(file), specifier);
      const [from, to] = [dirname(file), dirname(target)];
      if (from === to || !existsSync(target)) continue;
      imports.set(from, (imports.get(from) ?? new Set()).add(to));
    }
  return imports;
}

/** The way from one folder to another along imports, both included; null when there is none. */
export function wayBetween(imports, from, to) {
  const ways = [[from]];
  const seen = new Set([from]);
  for (let way = ways.shift(); way; way = ways.shift())
    for (const next of imports.get(way.at(-1)) ?? []) {
      if (next === to) return [...way, to];
      if (seen.has(next)) continue;
      seen.add(next);
      ways.push([...way, next]);
    }
  return null;
}

/** Editors keep the rule loaded while files change, so that what was read is read anew after so many milliseconds. */
const FRESH_MS = 10_000;
let known = { imports: null, readAt: 0 };

function importsOf(root) {
  if (Date.now() - known.readAt > FRESH_MS)
    known = { imports: folderImports(root), readAt: Date.now() };
  return known.imports;
}

/** Refuses an import that closes a ring of folders: no folder may reach itself through others. */
export const noFolderCycles = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { cycle: 'Folders import each other: {{way}}. Move what both need below them.' },
  },
  create(context) {
    const root = join(context.cwd, 'src');
    if (!isSource(context.filename)) return {};
    const imports = importsOf(root);
    const check = ({ source }) => {
      if (!source?.value?.startsWith?.('.')) return;
      const from = dirname(context.filename);
      const to = dirname(resolve(from, source.value));
      const back = from === to ? null : wayBetween(imports, to, from);
      if (!back) return;
      const way = [from, ...back].map((folder) => relative(root, folder) || '.').join(' > ');
      context.report({ node: source, messageId: 'cycle', data: { way } });
    };
    return {
      ImportDeclaration: check,
      ExportNamedDeclaration: check,
      ExportAllDeclaration: check,
      ImportExpression: check,
    };
  },
};
