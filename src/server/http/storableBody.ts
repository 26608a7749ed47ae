import type { RequestHandler } from 'express';
import type { Problem } from '../../contracts/problem.ts';
import { unstorableAt } from '../../contracts/storableText.ts';
import { sendProblem } from './problems.ts';

/** Deepest nesting and most values of a body; the richest legal one has seven levels and some thousands of values. */
const MAX_DEPTH = 16;
const MAX_VALUES = 200_000;
/** Numbers nearer to zero than this are taken as zero: no measure of ours is so small, and PostgreSQL refuses some. */
const MIN_MAGNITUDE = 1e-30;

interface Node {
  readonly holder: object;
  readonly path: string;
  readonly depth: number;
}

const problem = (field: string, message: string, cure: string): Problem => ({
  code: 'invalid-field',
  field: field === '' ? 'body' : field.slice(0, 120),
  message,
  cure,
});

function textProblem(path: string, text: string): Problem | null {
  const at = unstorableAt(text);
  if (at === null) return null;
  return problem(
    path,
    `Character ${at + 1} cannot be stored: it is NUL or half of a surrogate pair.`,
    'Leave it out, or send the whole character.',
  );
}

/**
 * Checks every text, number and level of a JSON body, so that nothing passes the schemas that the database would refuse.
 * Numbers too small to store become 0 in place. Returns the first problem, or null.
 */
export function checkBody(body: unknown): Problem | null {
  if (typeof body !== 'object' || body === null) return null;
  const open: Node[] = [{ holder: body, path: '', depth: 1 }];
  let values = 0;
  for (let node = open.pop(); node; node = open.pop()) {
    if (node.depth > MAX_DEPTH)
      return problem(node.path, 'The body is nested too deeply.', 'Send it as the README shows.');
    for (const [key, value] of Object.entries(node.holder) as [string, unknown][]) {
      if (++values > MAX_VALUES)
        return problem('', 'The body holds too many values.', 'Send the part about one plant.');
      const path = node.path === '' ? key : `${node.path}.${key}`;
      const wrong =
        textProblem(node.path, key) ??
        (typeof value === 'string' ? textProblem(path, value) : null);
      if (wrong) return wrong;
      if (typeof value === 'number' && Math.abs(value) < MIN_MAGNITUDE)
        Reflect.set(node.holder, key, 0);
      if (typeof value === 'object' && value !== null)
        open.push({ holder: value, path, depth: node.depth + 1 });
    }
  }
  return null;
}

/** Refuses bodies that could not be stored, before any route looks at them. */
export const storableBody: RequestHandler = (request, response, next) => {
  const wrong = checkBody(request.body);
  if (wrong) sendProblem(response, wrong);
  else next();
};
