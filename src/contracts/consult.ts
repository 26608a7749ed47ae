import { z } from 'zod';
import { PRESENCES } from '../core/schema/range.ts';
import { APPROACHES, CHANNELS } from '../core/advice/context.ts';
import { VERDICTS } from '../core/advice/verdict.ts';
import { REQUEST_KINDS } from '../core/language/requests.ts';
import { RUNGS } from '../core/schema/treatment.ts';
import { CATEGORIES } from '../core/schema/cause.ts';
import { CALLS } from '../core/schema/danger.ts';
import { countrySchema, stateSchema } from '../core/schema/place.ts';
import { SPELLINGS } from '../wording/spelling.ts';
import { parseDay } from '../core/timing/calendar.ts';

/** Longest account of one enquiry, in characters: several pages of a letter. */
export const MAX_CHARACTERS = 20_000;

/** A civil date, `2026-06-13`. */
export const isoDateSchema = z.string().refine((text) => parseDay(text).ok, {
  error: 'must be a date that exists between 1900 and 2200, written like 2026-06-13',
});

export const placeSchema = z.strictObject({
  lat: z.number().min(-90, 'must be between -90 and 90').max(90, 'must be between -90 and 90'),
  lon: z
    .number()
    .min(-180, 'must be between -180 and 180')
    .max(180, 'must be between -180 and 180'),
  /** Metres above the sea; left out, height is not minded. */
  height: z
    .number()
    .min(-450, 'must be metres between -450 and 6000')
    .max(6000, 'must be metres between -450 and 6000')
    .optional(),
});

/** The place of a garden: with the town that it was found by, whose law holds there. */
export const gardenSchema = placeSchema.extend({
  town: z.string().max(120).optional(),
  country: countrySchema.optional(),
  state: stateSchema.optional(),
});
export type Garden = z.infer<typeof gardenSchema>;

/** What stands before the id of a danger in an answer that it was dealt with. */
export const HANDLED = 'handled-';

export const answerSchema = z.strictObject({
  /** A finding, a group, the plant, or a danger that was dealt with. */
  finding: z.string().min(1).max(80),
  /** true, false, "unknown", or the id of the choice when `finding` is a group. */
  value: z.union([z.boolean(), z.string().min(1).max(80)]),
  sure: z.number().min(0).max(1).optional(),
});

/** Confirmed cases of one cause, weighted by how they were confirmed and by season. */
export const seenSchema = z.strictObject({
  cause: z.string().min(1).max(80),
  cases: z.number().min(0).max(1e6),
});
export type Seen = z.infer<typeof seenSchema>;

/** One day of a station. */
export const weatherDaySchema = z.strictObject({
  day: isoDateSchema,
  minCelsius: z.number().min(-90).max(60),
  maxCelsius: z.number().min(-90).max(60),
  rainMillimetres: z.number().min(0).max(2000),
  /** Mean wind of the day; null where the station does not measure it. */
  windKmh: z.number().min(0).max(450).nullable().default(null),
});

/** Body of `POST /api/consult` and one line of `npm run -s consult`. */
export const consultRequestSchema = z.strictObject({
  words: z
    .string()
    .max(
      MAX_CHARACTERS,
      `must be at most ${MAX_CHARACTERS} characters: send the part about one plant`,
    ),
  date: isoDateSchema,
  place: placeSchema,
  /** By ISO 3166, for whom to call in danger; left out, that of the nearest reference place. */
  country: countrySchema.optional(),
  /** Part of the country by ISO 3166-2, for its own rules; needs `country`. Left out, that of a reference place nearby, or the strictest rules hold. */
  state: stateSchema.optional(),
  /** Of the texts of the answer. */
  spelling: z.enum(SPELLINGS).default('us'),
  plant: z.string().min(1).max(80).optional(),
  channel: z.enum(CHANNELS).default('phone'),
  approach: z.enum(APPROACHES).default('integrated'),
  answers: z.array(answerSchema).max(200).default([]),
  /** Results of laboratories about this plant: a cause that was looked for, and whether it was found. */
  tests: z
    .array(z.strictObject({ cause: z.string().min(1).max(80), found: z.boolean() }))
    .max(50)
    .default([]),
  /** The clinic's confirmed cases, from `GET /api/clinic/experience`; left out, nothing learned is used. */
  experience: z.array(seenSchema).max(2000).default([]),
  /** The days of a station at the place, in order; the dates of their year then follow them. */
  weather: z
    .array(weatherDaySchema)
    .max(800, 'must be at most 800 days: send those since the last midwinter')
    .default([]),
});
export type ConsultRequest = z.infer<typeof consultRequestSchema>;

const namedSchema = z.object({
  id: z.string(),
  name: z.string(),
  scientificName: z.string().nullable(),
});
const argumentSchema = z.object({ finding: z.string(), label: z.string(), decibans: z.number() });

export const consultResponseSchema = z.object({
  /**
   * What comes before everything else, and whom to call; the advice waits while it stands. It goes when an answer
   * `handled-` with its kind is true.
   */
  urgent: z
    .object({
      kind: z.string(),
      name: z.string(),
      /** What to do in the next minutes, to say aloud. */
      say: z.string(),
      span: z.tuple([z.number(), z.number()]),
      call: z.array(
        z.object({ call: z.enum(CALLS), who: z.string(), number: z.string().nullable() }),
      ),
    })
    .nullable()
    // Answers that were kept before there was any.
    .default(null),
  plant: namedSchema
    .extend({
      confidence: z.number(),
      alternatives: z.array(namedSchema.extend({ confidence: z.number() })),
    })
    .nullable(),
  /** When the words are about several plants: each with its sentences, all words in one of them. */
  parts: z.array(namedSchema.extend({ words: z.string() })),
  /** Values that were said: since when, how warm, how often watered, how tall, how big, how many. */
  amounts: z.array(
    z.object({
      kind: z.enum([
        'since',
        'planted',
        'every-year',
        'watering',
        'temperature',
        'height',
        'trunk',
        'pot',
        'pot-volume',
        'area',
        'ph',
        'count',
      ]),
      text: z.string(),
      span: z.tuple([z.number(), z.number()]),
    }),
  ),
  heard: z.array(
    z.object({
      finding: z.string(),
      label: z.string(),
      part: z.string(),
      value: z.boolean(),
      sure: z.number(),
      span: z.tuple([z.number(), z.number()]),
    }),
  ),
  causes: z.array(
    namedSchema.extend({
      aliases: z.array(z.string()),
      category: z.enum([...CATEGORIES, 'unknown']),
      probability: z.number(),
      for: z.array(argumentSchema),
      against: z.array(argumentSchema),
      say: z.string(),
      expect: z.string().nullable(),
      lookAlikes: z.array(z.object({ id: z.string(), name: z.string(), tells: z.string() })),
      source: z.string(),
      /** Decibans against the leading cause; for the leader against the second. */
      versus: z
        .object({ id: z.string(), name: z.string(), arguments: z.array(argumentSchema) })
        .nullable(),
      /** Confirmed here so often (weighted), and so much likelier for it before any evidence. */
      seenHere: z.object({ cases: z.number(), factor: z.number() }).nullable(),
      /** How it stands in the country or state; null where its range is not known. */
      here: z
        .enum(PRESENCES)
        .nullable()
        // Answers that were kept before there were any.
        .default(null),
    }),
  ),
  explanation: z.array(z.string()),
  unexplained: z.number(),
  nothingWrong: z.number(),
  ask: z.array(
    z.object({
      finding: z.string(),
      question: z.string(),
      how: z.string().nullable(),
      seconds: z.number(),
      worth: z.number(),
      /** Parameters of its drawing; null where there is none. */
      plate: z.string().nullable(),
      choices: z.array(
        z.object({ finding: z.string(), label: z.string(), plate: z.string().nullable() }),
      ),
      /** Where the words may have said it already, half understood. */
      said: z
        .tuple([z.number(), z.number()])
        .nullable()
        // Answers that were kept before there were any.
        .default(null),
      /** One act of looking that answers this question and its neighbors of the same look. */
      look: z
        .object({ id: z.string(), say: z.string() })
        .nullable()
        // Answers that were kept before there were any.
        .default(null),
    }),
  ),
  settled: z.boolean(),
  /** Why the questions are done or not, and what to send when only a sample would help. */
  settledWhy: z.object({ reason: z.string(), sample: z.string().nullable() }),
  /** Reports that hardly go together, each with what to ask back. */
  conflicts: z.array(z.object({ findings: z.array(z.string()), text: z.string() })),
  /** The fewest answers after which another cause would lead. */
  wouldChange: z
    .object({
      leader: z.object({ id: z.string(), name: z.string() }),
      turns: z.array(
        z.object({
          finding: z.string(),
          label: z.string(),
          value: z.boolean(),
          takesBack: z.boolean(),
        }),
      ),
    })
    .nullable(),
  /** Where two causes together lead: what speaks for both against each alone. */
  pair: z.array(
    z.object({ alone: z.string(), name: z.string(), arguments: z.array(argumentSchema) }),
  ),
  advice: z.object({
    verdict: z.enum(VERDICTS),
    headline: z.string(),
    /** What was asked for, each with its own answer, in the order of the text. */
    answers: z
      .array(
        z.object({
          span: z.tuple([z.number(), z.number()]),
          request: z.enum(REQUEST_KINDS),
          /** The words that ask it. */
          asked: z.string(),
          text: z.string(),
          /** Ids of the steps that the answer is made of. */
          steps: z.array(z.string()),
        }),
      )
      // Answers that were stored before there were any.
      .default([]),
    steps: z.array(
      z.object({
        id: z.string(),
        /** Of the treatment, in a few words; null for what is found out first. */
        name: z
          .string()
          .nullable()
          // Answers that were kept before there were any.
          .default(null),
        text: z.string(),
        rung: z.enum(RUNGS),
        when: z.object({ from: z.string(), to: z.string().nullable(), note: z.string() }),
        cautions: z.array(z.string()),
        /** How much, how often, how deep, for how long. `value` is the least; null where the text holds no number. */
        amount: z
          .object({
            text: z.string(),
            value: z.number().nullable(),
            unit: z.string().nullable(),
            assumed: z.array(z.string()),
            /** Address of the calculator that it comes from, with what is known filled in; null without one. */
            bench: z
              .string()
              .nullable()
              // Answers that were kept before there were any.
              .default(null),
          })
          .nullable()
          // Answers that were kept before there were any.
          .default(null),
        /** A product that kills something: its label decides. */
        product: z.boolean(),
      }),
    ),
    cautions: z.array(z.string()),
    refer: z.array(z.string()),
    /** The same by trade, so that a clinic can name its own people. */
    referTo: z
      .array(z.string())
      // Answers that were kept before there were any.
      .default([]),
    notDoing: z.array(z.object({ text: z.string(), why: z.string() })),
    /** Where practitioners differ about this advice. */
    differ: z.array(
      z.object({ over: z.string(), here: z.string(), others: z.string(), why: z.string() }),
    ),
    lookAgain: z.string(),
  }),
  knowledge: z.object({ version: z.string() }),
});
export type ConsultResponse = z.infer<typeof consultResponseSchema>;
