import Papa from 'papaparse';
import { fail, ok, type Result } from '../util/result.ts';
import { addDays, parseDay, type Day } from './calendar.ts';
import type { WeatherDay } from './weather.ts';

/** What is wrong with a line of a station's file; line 1 is the header. */
export interface StationProblem {
  readonly line: number;
  readonly code:
    'no-column' | 'no-date' | 'no-number' | 'impossible' | 'upside-down' | 'twice' | 'empty';
  /** The column or the value that is meant. */
  readonly about: string;
}

/** A station's days in order, and the days between the first and the last of which it says nothing. */
export interface StationRecord {
  readonly days: readonly WeatherDay[];
  readonly missing: readonly Day[];
}

type Unit = 'celsius' | 'fahrenheit' | 'millimetres' | 'inches' | 'km/h' | 'mph';
interface Column {
  readonly name: string;
  readonly unit: Unit;
}

/** Columns by what they hold; the first that the file has is read. */
const COLUMNS = {
  min: [
    { name: 'min_c', unit: 'celsius' },
    { name: 'min_f', unit: 'fahrenheit' },
  ],
  max: [
    { name: 'max_c', unit: 'celsius' },
    { name: 'max_f', unit: 'fahrenheit' },
  ],
  rain: [
    { name: 'rain_mm', unit: 'millimetres' },
    { name: 'rain_in', unit: 'inches' },
  ],
  /** May be left out. */
  wind: [
    { name: 'wind_kmh', unit: 'km/h' },
    { name: 'wind_mph', unit: 'mph' },
  ],
} as const satisfies Record<string, readonly Column[]>;

const TO_METRIC: Readonly<Record<Unit, (value: number) => number>> = {
  celsius: (value) => value,
  fahrenheit: (value) => ((value - 32) * 5) / 9,
  millimetres: (value) => value,
  inches: (value) => value * 25.4,
  'km/h': (value) => value,
  mph: (value) => value * 1.609344,
};

/**
 * Beyond what was ever measured at the ground (World Meteorological Organization, extremes: -89.2 C, 56.7 C, 1825 mm in a
 * day, gusts of 408 km/h).
 */
const TEMPERATURE = { least: -90, most: 57 } as const;
const RAIN = { least: 0, most: 1825 } as const;
const SPEED = { least: 0, most: 408 } as const;
const POSSIBLE: Readonly<Record<Unit, { readonly least: number; readonly most: number }>> = {
  celsius: TEMPERATURE,
  fahrenheit: TEMPERATURE,
  millimetres: RAIN,
  inches: RAIN,
  'km/h': SPEED,
  mph: SPEED,
};

type Row = Readonly<Record<string, string>>;

function readNumber(row: Row, column: Column, line: number): Result<number, StationProblem> {
  const text = (row[column.name] ?? '').trim();
  const value = Number(text.replace(',', '.'));
  if (text === '' || !Number.isFinite(value))
    return fail({ line, code: 'no-number', about: `${column.name} "${text}"` });
  const metric = Math.round(TO_METRIC[column.unit](value) * 100) / 100;
  const { least, most } = POSSIBLE[column.unit];
  return metric >= least && metric <= most
    ? ok(metric)
    : fail({ line, code: 'impossible', about: `${column.name} ${text}` });
}

interface StationLines {
  readonly min: Column;
  readonly max: Column;
  readonly rain: Column;
  readonly wind: Column | null;
}

function readRow(
  row: Row,
  found: StationLines,
  line: number,
): Result<WeatherDay, readonly StationProblem[]> {
  const problems: StationProblem[] = [];
  const take = (column: Column): number => {
    const read = readNumber(row, column, line);
    if (read.ok) return read.value;
    problems.push(read.error);
    return NaN;
  };
  const date = (row.date ?? '').trim();
  const day = parseDay(date);
  if (!day.ok) problems.push({ line, code: 'no-date', about: `date "${date}"` });
  const [minCelsius, maxCelsius, rainMillimetres] = [
    take(found.min),
    take(found.max),
    take(found.rain),
  ];
  const windKmh =
    found.wind && (row[found.wind.name] ?? '').trim() !== '' ? take(found.wind) : null;
  if (minCelsius > maxCelsius) problems.push({ line, code: 'upside-down', about: date });
  return day.ok && problems.length === 0
    ? ok({ day: day.value, minCelsius, maxCelsius, rainMillimetres, windKmh })
    : fail(problems);
}

function findColumns(fields: readonly string[]): Result<StationLines, readonly StationProblem[]> {
  const pick = (choices: readonly Column[]): Column | undefined =>
    choices.find(({ name }) => fields.includes(name));
  const [min, max, rain] = [pick(COLUMNS.min), pick(COLUMNS.max), pick(COLUMNS.rain)];
  const wind = pick(COLUMNS.wind) ?? null;
  if (fields.includes('date') && min && max && rain) return ok({ min, max, rain, wind });
  const missing = [
    ...(fields.includes('date') ? [] : ['date']),
    ...(min ? [] : ['min_c or min_f']),
    ...(max ? [] : ['max_c or max_f']),
    ...(rain ? [] : ['rain_mm or rain_in']),
  ];
  return fail(missing.map((about) => ({ line: 1, code: 'no-column', about })));
}

/**
 * Reads a station's CSV file with a header that names `date` (2026-06-13), `min_c` or `min_f`, `max_c` or `max_f`,
 * `rain_mm` or `rain_in`, and optionally `wind_kmh` or `wind_mph`. Values become degrees Celsius, millimetres and
 * kilometres an hour. Lines may be in any order, missing days are listed, other columns ignored. Any invalid line
 * gives a coded problem, and then nothing is read.
 */
export function readStationCsv(text: string): Result<StationRecord, readonly StationProblem[]> {
  const { data, meta } = Papa.parse<Row>(text.trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const columns = findColumns(meta.fields ?? []);
  if (!columns.ok) return columns;
  if (data.length === 0) return fail([{ line: 2, code: 'empty', about: 'no day' }]);
  const problems: StationProblem[] = [];
  const byDay = new Map<Day, WeatherDay>();
  data.forEach((row, i) => {
    const read = readRow(row, columns.value, i + 2);
    if (!read.ok) problems.push(...read.error);
    else if (byDay.has(read.value.day))
      problems.push({ line: i + 2, code: 'twice', about: (row.date ?? '').trim() });
    else byDay.set(read.value.day, read.value);
  });
  if (problems.length > 0) return fail(problems);
  const days = [...byDay.values()].sort((a, b) => a.day - b.day);
  const missing = days.flatMap(({ day }, i) => {
    const next = days[i + 1]?.day ?? day + 1;
    return Array.from({ length: next - day - 1 }, (_, k) => addDays(day, k + 1));
  });
  return ok({ days, missing });
}
