import {
  isMap,
  isNode,
  isScalar,
  isSeq,
  parseDocument,
  stringify,
  type Document,
  type Node,
} from 'yaml';

/** Sections whose files are lists of entries, and the field of an entry that names its file, where one does. */
const FILE_FIELD: Readonly<Record<string, string | null>> = {
  causes: 'category',
  findings: 'part',
  treatments: 'rung',
  plants: null,
  care: null,
  places: null,
  groups: null,
  views: null,
  samples: null,
  sources: null,
  dangers: null,
  contacts: null,
};

const flow = (node: unknown): string =>
  stringify(node, {
    collectionStyle: 'flow',
    lineWidth: 0,
    flowCollectionPadding: false,
    aliasDuplicateObjects: false,
  }).trim();

const commentLines = (comment: string | null | undefined): string[] =>
  (comment ?? '').split('\n').flatMap((line) => (line.trim() === '' ? [] : [`#${line}`]));

const idOf = (node: unknown): string => {
  const id = isMap(node) ? node.get('id') : null;
  return typeof id === 'string' ? id : '';
};

/** One entry: its fields in block style, one a line, in the order of `keys`; what is inside a field in flow style. */
function entryLines(document: Document, node: Node, keys: readonly string[]): string[] {
  const plain = (value: unknown): unknown => (isNode(value) ? value.toJS(document) : value);
  if (!isMap(node)) return [`- ${flow(plain(node))}`];
  const fields = node.items.map(({ key, value }) => ({
    key: isScalar(key) ? String(key.value) : String(key),
    value,
  }));
  const rank = (key: string): number => (keys.includes(key) ? keys.indexOf(key) : keys.length);
  fields.sort((a, b) => rank(a.key) - rank(b.key));
  return [
    ...commentLines(node.commentBefore),
    ...fields.map(({ key, value }, i) => `${i === 0 ? '- ' : '  '}${key}: ${flow(plain(value))}`),
  ];
}

/**
 * A file of entries in the one layout of the library: entries by id, each field on a line of its own. Comments before the
 * first and before single entries stay. Returns the text unchanged where it is no list.
 */
export function knowledgeLayout(text: string, keys: readonly string[]): string {
  const document = parseDocument(text);
  const list = document.contents;
  if (document.errors.length > 0 || !isSeq<Node>(list)) return text;
  // A comment at the head is about the file, though the parser takes it for one about the first entry.
  const [first] = list.items;
  const head = [document.commentBefore, list.commentBefore, first?.commentBefore].flatMap(
    commentLines,
  );
  if (first) first.commentBefore = null;
  const entries = [...list.items].sort((a, b) => (idOf(a) < idOf(b) ? -1 : 1));
  return `${[...head, ...entries.flatMap((entry) => entryLines(document, entry, keys))].join('\n')}\n`;
}

/** The name that a file of a section must have for this entry, without its ending; null where any will do. */
export function fileNameFor(section: string, entry: unknown): string | null {
  const field = FILE_FIELD[section];
  if (field === null || field === undefined) return null;
  const name: unknown =
    entry !== null && typeof entry === 'object' && field in entry
      ? Reflect.get(entry, field)
      : null;
  return typeof name === 'string' ? name : null;
}
