import type { Database } from 'better-sqlite3';
import { z } from 'zod';
import {
  absenceInput,
  type BrokenSetting,
  chapter,
  crossReference,
  dueAnswerInput,
  family,
  type Finding,
  followUpInput,
  lifeFile,
  offer,
  lifeInput,
  longerInput,
  person,
  planInput,
  procedure,
  recipe,
  stockDetail,
  stockItem,
  tool,
  unitInput,
  vehicleInput,
  wishInput,
  wrench,
} from '../../../contract/index.ts';
import { USUAL_AIRING } from '../../../core/clean/index.ts';
import { ruleProblem } from '../../../core/house/index.ts';
import { MOVEMENTS } from '../../../core/stock/index.ts';
import { canonical } from '../../store/chain.ts';
import { finding } from './finding.ts';

type Row = Readonly<Record<string, string | number | null>>;
/** What is wrong with a row; null for nothing. */
type Judge = (row: Row) => string | null;

const json = (text: unknown): unknown => JSON.parse(String(text)) as unknown;
const jsonOrNull = (text: unknown): unknown => (text == null ? null : json(text));
/** A row, put as `whole` says, must fit a schema. */
const fits =
  (schema: z.ZodType, whole: (row: Row) => unknown): Judge =>
  (row) => {
    const read = schema.safeParse(whole(row));
    const [issue] = read.error?.issues ?? [];
    return issue === undefined ? null : `${issue.path.join('.')}: ${issue.message}`;
  };
/** What is kept of a password. */
const argon = z.string().startsWith('$argon2id$', 'Expected what Argon2id makes of a password.');
const body = (schema: z.ZodType): Judge => fits(schema, (row) => json(row.body));
/** JSON that is read by nobody but people. */
const readable: Judge = (row) => (json(row.body) === undefined ? 'Nothing is in it.' : null);
const knowledge = z.object({ causes: z.array(z.unknown()).min(1), signs: z.array(z.unknown()).min(1) });
const when = z.union([z.iso.datetime(), z.literal('')]);

/** What a vehicle's row says of it, as a person types it. */
const vehicleOf = (row: Row) => ({
  plate: row.plate,
  vin: row.vin,
  make: row.make,
  model: row.model,
  nickname: row.nickname,
  year: row.year,
  engine: row.engine,
  throttle: row.throttle,
  idleValve: row.idle_valve,
  owner: row.owner,
  meterUnit: row.meter_unit,
  figures: json(row.figures),
  notes: row.notes,
  ...(row.use == null ? {} : { use: row.use }),
  ...(row.computer == null ? {} : { computer: row.computer }),
  ...(row.coolant == null ? {} : { coolant: json(row.coolant) }),
});

/** Plain tables by how a row of each is judged; `name` is what a row is called by. */
const TABLES: readonly { readonly table: string; readonly name: string; readonly judge: Judge }[] = [
  {
    table: 'person',
    name: 'id',
    judge: fits(person, ({ id, name, role, bay, does, hours, left_at }) => ({
      id,
      name,
      role,
      bay,
      does: jsonOrNull(does),
      hours: jsonOrNull(hours),
      leftAt: left_at,
    })),
  },
  {
    table: 'absence',
    name: 'id',
    judge: fits(absenceInput, ({ person_id, from_day, to_day, part, why }) => ({
      personId: person_id,
      from: from_day,
      to: to_day,
      part,
      why,
    })),
  },
  {
    table: 'due_answer',
    name: 'vehicle_id',
    judge: fits(dueAnswerInput, ({ answer, until, note }) => ({ answer, until, note })),
  },
  {
    table: 'follow_up',
    name: 'job_id',
    judge: fits(followUpInput, ({ answer, meter, note }) => ({ answer, meter, note })),
  },
  {
    table: 'lesson_answer',
    name: 'lesson_id',
    judge: ({ lesson_id, note, at }) =>
      String(lesson_id) === '' || !z.iso.datetime().safeParse(at).success || typeof note !== 'string'
        ? 'It has no lesson, or no time.'
        : null,
  },
  {
    table: 'price_list',
    name: 'supplier',
    judge: ({ supplier, currency }) => (supplier === '' || currency === '' ? 'It is nobody’s, or in no money.' : null),
  },
  {
    table: 'price_line',
    name: 'part_number',
    judge: fits(offer, (row) => ({
      partNumber: row.part_number,
      name: row.name,
      kind: row.kind,
      priceMinor: row.price_minor,
      currency: 'cr',
      depositMinor: row.deposit_minor,
      inStock: 0,
      expected: null,
    })),
  },
  { table: 'chapter_elsewhere', name: "shop || ' ' || chapter", judge: fits(chapter, (row) => json(row.body)) },
  { table: 'life_file', name: 'hash', judge: body(lifeFile) },
  {
    table: 'shop_known',
    name: 'name',
    judge: ({ key }) => (Buffer.from(String(key), 'base64').length === 32 ? null : 'Its key is none.'),
  },
  {
    table: 'shop_key',
    name: 'id',
    judge: (row) => (String(row.private).includes('PRIVATE KEY') ? null : 'There is no private key in it.'),
  },
  {
    table: 'longer_day',
    name: "person_id || ' ' || day",
    judge: fits(longerInput, ({ person_id, day, until }) => ({ personId: person_id, day, until })),
  },
  {
    table: 'day_wish',
    name: "job_id || ' ' || stretch",
    judge: fits(wishInput, ({ job_id, stretch, at, person_id }) => ({
      jobId: job_id,
      stretch,
      at,
      personId: person_id,
    })),
  },
  {
    table: 'day_plan',
    name: 'version',
    judge: fits(planInput, ({ version, blocks }) => ({ seen: version, blocks: json(blocks) })),
  },
  { table: 'wrench', name: 'id', judge: body(wrench) },
  { table: 'tool', name: 'id', judge: body(tool) },
  { table: 'engine_family', name: 'id', judge: body(family) },
  { table: 'procedure', name: 'id', judge: body(procedure) },
  { table: 'procedure_version', name: "id || ' version ' || version", judge: body(procedure) },
  { table: 'recipe', name: 'id', judge: body(recipe) },
  { table: 'recipe_version', name: "id || ' version ' || version", judge: body(recipe) },
  { table: 'knowledge', name: 'version', judge: body(knowledge) },
  { table: 'written_case', name: 'id', judge: readable },
  { table: 'audit', name: 'id', judge: readable },
  {
    table: 'house_rule',
    name: 'question',
    judge: ({ question, answer }) => ruleProblem(String(question), String(answer)),
  },
  {
    table: 'vehicle',
    name: 'plate',
    judge: fits(vehicleInput, (row) => ({
      ...vehicleOf(row),
      units: [],
      familyId: row.family_id,
      knownSince: row.known_since,
    })),
  },
  {
    table: 'unit',
    name: 'id',
    judge: fits(unitInput, (row) => ({ kind: row.kind, partNumber: row.part_number, features: json(row.features) })),
  },
  {
    table: 'unit_life',
    name: 'id',
    judge: fits(lifeInput, (row) => ({
      kind: row.kind,
      vehicleId: row.vehicle_id,
      place: row.place,
      priceMinor: row.price_minor,
      note: row.note,
    })),
  },
  {
    table: 'stock',
    name: 'name',
    judge: fits(z.strictObject({ kind: stockItem.shape.kind, detail: stockDetail }), (row) => ({
      kind: row.kind,
      detail: json(row.detail),
    })),
  },
  {
    table: 'stock_movement',
    name: 'id',
    judge: fits(z.strictObject({ kind: z.enum(Object.keys(MOVEMENTS)), at: when }), ({ kind, at }) => ({ kind, at })),
  },
  { table: 'stock_order', name: 'id', judge: fits(z.iso.datetime(), (row) => row.ordered_at) },
  {
    table: 'cross_reference',
    name: "a || ' and ' || b",
    judge: fits(crossReference, ({ a, b, fit, note, source }) => ({ a, b, fit, note, source })),
  },
  { table: 'airing', name: 'id', judge: fits(z.enum(Object.keys(USUAL_AIRING)), (row) => row.state) },
  {
    table: 'picture',
    name: 'hash',
    judge: fits(
      z.strictObject({
        hash: z.string().regex(/^[0-9a-f]{64}$/),
        mime: z.enum(['image/jpeg', 'image/png', 'image/webp']),
      }),
      ({ hash, mime }) => ({ hash, mime }),
    ),
  },
  { table: 'recording', name: 'hash', judge: fits(z.string().regex(/^[0-9a-f]{64}$/), ({ hash }) => hash) },
  { table: 'instrument_pair', name: 'instrument_id', judge: fits(z.iso.datetime(), (row) => row.paired_at) },
  { table: 'reminder_done', name: "job_id || ' ' || id", judge: fits(z.iso.datetime(), (row) => row.at) },
  { table: 'return_sent', name: "job_id || ' ' || id", judge: fits(z.iso.datetime(), (row) => row.at) },
  { table: 'feed', name: 'id', judge: fits(z.iso.datetime(), (row) => row.made_at) },
  { table: 'account', name: 'person_id', judge: fits(argon.nullable(), (row) => row.password_hash) },
  { table: 'station', name: 'id', judge: fits(z.iso.datetime(), (row) => row.enrolled_at) },
  { table: 'session', name: 'stretch', judge: fits(z.iso.datetime(), (row) => row.ends_at) },
  { table: 'link', name: 'id', judge: fits(z.iso.datetime(), (row) => row.ends_at) },
];

/** The plain tables whose rows are read one by one. */
export const ROW_TABLES: readonly string[] = TABLES.map(({ table }) => table);

/** Every plain row, read as the program reads it. */
export function checkRows(db: Database): Finding[] {
  return TABLES.flatMap(({ table, name, judge }) => {
    const findings: Finding[] = [];
    for (const row of db.prepare<[], Row>(`SELECT *, ${name} AS row_name FROM ${table}`).iterate()) {
      const problem = judged(judge, row);
      if (problem !== null) findings.push(finding('row', `“${table}”, ${row.row_name}: it cannot be read. ${problem}`));
    }
    return findings;
  });
}

function judged(judge: Judge, row: Row): string | null {
  try {
    return judge(row);
  } catch (error) {
    if (error instanceof SyntaxError) return 'It is no JSON any more.';
    throw error;
  }
}

/** Rows that point at others: each has what it points at. */
const POINTERS: readonly { readonly sql: string; readonly words: (which: string) => string }[] = [
  {
    sql: 'SELECT job_id AS which FROM job_summary WHERE vehicle_id NOT IN (SELECT id FROM vehicle)',
    words: (which) => `The vehicle of job ${which} is not there.`,
  },
  {
    sql: 'SELECT id AS which FROM unit WHERE vehicle_id IS NOT NULL AND vehicle_id NOT IN (SELECT id FROM vehicle)',
    words: (which) => `The vehicle that unit ${which} sits on is not there.`,
  },
  {
    sql: `SELECT id AS which FROM procedure p WHERE NOT EXISTS
            (SELECT 1 FROM procedure_version v WHERE v.id = p.id AND v.version = p.version AND v.body = p.body)`,
    words: (which) => `Procedure ${which} differs from its newest version.`,
  },
];

/** What rows point at is there. */
export const checkPointers = (db: Database): Finding[] =>
  POINTERS.flatMap(({ sql, words }) =>
    db
      .prepare<[], { which: string }>(sql)
      .all()
      .map(({ which }) => finding('row', words(which))),
  );

/** Rows whose every save is kept in the audit say what was last saved. */
const SAVED: readonly {
  readonly table: string;
  readonly kinds: string;
  readonly now: (row: Row) => Readonly<Record<string, unknown>>;
}[] = [
  {
    table: 'vehicle',
    kinds: "'vehicle-created', 'vehicle-changed'",
    now: vehicleOf,
  },
  {
    table: 'engine_family',
    kinds: "'family-created', 'family-changed'",
    now: (row) => json(row.body) as Readonly<Record<string, unknown>>,
  },
];

/** Plain rows that were changed behind the program's back, where the audit shows it. */
export function checkSaved(db: Database): Finding[] {
  return SAVED.flatMap(({ table, kinds, now }) => {
    const findings: Finding[] = [];
    const rows = db
      .prepare<[], Row>(
        `SELECT t.*, a.body AS saved FROM ${table} t JOIN audit a ON a.id =
           (SELECT MAX(id) FROM audit WHERE subject = t.id AND kind IN (${kinds}))`,
      )
      .iterate();
    for (const row of rows) {
      try {
        const is = now(row);
        const saved = json(row.saved) as Readonly<Record<string, unknown>>;
        const other = Object.keys(is).find((key) => key in saved && canonical(is[key]) !== canonical(saved[key]));
        if (other !== undefined)
          findings.push(finding('row', `“${table}”, ${row.id}: “${other}” is not what was last saved.`));
      } catch (error) {
        // A row that is no JSON has a finding of its own.
        if (!(error instanceof SyntaxError)) throw error;
      }
    }
    return findings;
  });
}

/** Settings that cannot be read, as findings. */
export const settingFindings = (broken: readonly BrokenSetting[]): Finding[] =>
  broken.map(({ name, key }) => finding('setting', `The setting of ${name} (“${key}”) cannot be read.`));
