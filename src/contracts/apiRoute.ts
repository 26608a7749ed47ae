import type { z } from 'zod';

/** One route of the server's interface. */
export interface ApiRoute {
  readonly method: 'get' | 'post';
  /** Path below `/api`, parameters in braces. */
  readonly path: string;
  readonly summary: string;
  readonly query?: Readonly<Record<string, string>>;
  readonly body?: z.ZodType;
  readonly status?: 201;
  readonly answer: z.ZodType;
  /** It answers with server-sent events: `answer` is the data of one. */
  readonly isStream?: true;
  /** It answers with a file: `answer` is one line of it. */
  readonly isFile?: true;
}
