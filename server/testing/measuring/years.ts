import type { Database } from 'better-sqlite3';
import type { Services } from '../../services.ts';
import { type Measured, median, ms, time } from './measure.ts';
import { fresh } from './store.ts';

/** Jobs that were handed over, each with its work, parts, cleaner and coolant. */
const JOBS = 100_000;
const VEHICLES = 25_000;
/** They lie in so many years before now. */
const YEARS = 5;
const DAY_MS = 86_400_000;
const NOW = '2026-06-15T12:00:00.000Z';
const STAGES = ['diagnose', 'strip', 'clean', 'refit', 'prove', 'hand-over'];

/** Fills the tables that reports read, as so many jobs would have. */
function fill(db: Database): void {
  const put = (table: string, columns: string) =>
    db.prepare(
      `INSERT INTO ${table} (${columns}) VALUES (${columns
        .split(',')
        .map(() => '?')
        .join(', ')})`,
    );
  const vehicle = put(
    'vehicle',
    'id,plate,vin,make,model,nickname,year,engine,throttle,idle_valve,owner,meter_unit,figures,notes,version,search',
  );
  const summary = put(
    'job_summary',
    'job_id,number,vehicle_id,plate,name,status,stage,opened_at,last_at,last_words,last_by,reading,reading_unit,decision,items_off,held,version,search',
  );
  const visit = put(
    'visit',
    'job_id,number,vehicle_id,family_id,kind,option,unit_kind,opened_at,closed_at,meter,hours,anew,level_before,sd_before,cleaned,reopened,labour_minutes,parts_minor,total_minor',
  );
  const expected = put('stage_expected', 'job_id,stage,minutes,closed_at');
  const work = put('work_stretch', 'job_id,person,stage,started_at,ended_at');
  const can = put('can_use', 'job_id,id,substance,grams,minutes,emptied,at');
  const part = put('part_use', 'job_id,id,part_number,part_key,quantity,at');
  const coolant = put('coolant_entry', 'job_id,id,kind,litres,value,unit,at');
  db.transaction(() => {
    for (let nth = 0; nth < VEHICLES; nth += 1)
      vehicle.run(
        `v${nth}`,
        `AA ${nth}`,
        '',
        'Norrland',
        'Parcel',
        '',
        null,
        '',
        'cable',
        'rotary',
        '',
        'km',
        '{"idleRpm":null,"valveDuty":null,"closedVolts":null}',
        '',
        1,
        '',
      );
    const first = Date.parse(NOW) - YEARS * 365 * DAY_MS;
    for (let nth = 0; nth < JOBS; nth += 1) {
      const at = (minute: number): string =>
        new Date(first + (nth / JOBS) * YEARS * 365 * DAY_MS + minute * 60_000).toISOString();
      const [id, of] = [`j${nth}`, nth % VEHICLES];
      const meter = 20_000 + of + Math.floor(nth / VEHICLES) * 18_000;
      summary.run(
        id,
        nth + 1,
        `v${of}`,
        `AA ${of}`,
        'Norrland Parcel',
        'closed',
        'hand-over',
        at(0),
        at(180),
        '',
        'tomas',
        meter,
        'km',
        '',
        0,
        0,
        9,
        '',
      );
      visit.run(
        id,
        nth + 1,
        `v${of}`,
        'f',
        nth % 5 === 0 ? 'service' : 'fault',
        nth % 3 === 0 ? 'replace' : 'clean-bench',
        'throttle-body',
        at(0),
        at(180),
        meter,
        0,
        0,
        (1 + (nth % 4)) / 3,
        0.2,
        1,
        nth % 40 === 0 ? 1 : 0,
        90,
        640,
        9480,
      );
      for (const [step, stage] of STAGES.entries()) {
        expected.run(id, stage, 25, at(180));
        work.run(id, step % 2 === 0 ? 'tomas' : 'wen', stage, at(step * 30), at(step * 30 + 20 + (nth % 9)));
      }
      can.run(id, 'c', 'throttle-cleaner', 50 + (nth % 20), 5, 0, at(60));
      part.run(id, 'p', `NP-${nth % 300}`, `np${nth % 300}`, 1, at(70));
      coolant.run(id, 'o', 'caught', 0.7, 0.7, 'L', at(40));
      coolant.run(id, 'i', 'returned', 0.7, 0.7, 'L', at(120));
    }
    db.exec('INSERT INTO stage_took SELECT * FROM stage_took_meant');
  })();
  db.exec('ANALYZE');
}

/** Reports, what is due and what lasts, over a hundred thousand jobs. */
export function overTheYears(folder: string): Measured[] {
  const { services, db }: { services: Services; db: Database } = fresh(folder, 'years.sqlite');
  fill(db);
  const plain = db.prepare(
    "SELECT SUM(total_minor) FROM visit WHERE closed_at >= '2025-01-01' AND closed_at < '2026-01-01'",
  );
  const bare = median(time(() => void plain.get(), 9));
  const all = db.prepare('SELECT * FROM visit');
  const read = median(time(() => void all.all(), 5));
  const line = (what: string, took: number, limit: number, of: number, reference: string): Measured => ({
    what,
    measured: `${ms(took)} (${(took / of).toFixed(1)} × ${reference})`,
    wanted: `under ${limit} ms`,
    met: took < limit,
  });
  const took = (work: () => void, times = 5): number => median(time(work, times));
  const sum = 'a bare sum over the same rows';
  const rows = 'reading every visit';
  const measured = [
    line(
      'a month of 100,000 jobs',
      took(() => void services.reports.of('2025-10')),
      500,
      bare,
      sum,
    ),
    line(
      'a year of 100,000 jobs',
      took(() => void services.reports.of('2025')),
      500,
      bare,
      sum,
    ),
    line(
      'what is due of 25,000 vehicles',
      took(() => void services.years.due(NOW, 8), 3),
      2500,
      read,
      rows,
    ),
    line(
      'what lasts of 100,000 repairs',
      took(() => void services.years.lasting(NOW), 3),
      2500,
      read,
      rows,
    ),
  ];
  db.close();
  return measured;
}
