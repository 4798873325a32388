import { comesOff, hangsLoose, type Job, type JobItem, pocketsOf } from '../../../../core/job/index.ts';

/** A pocket of the tray with what lies in it. */
export interface Pocket {
  readonly id: string;
  readonly name: string;
  readonly items: readonly JobItem[];
}

/** The tray row by row, and what is off but lies elsewhere. */
export interface TrayLayout {
  readonly rows: readonly (readonly Pocket[])[];
  /** On the bench, in a crate: places with a name of their own. */
  readonly elsewhere: readonly Pocket[];
  /** Off, and nobody said where. */
  readonly nowhere: readonly JobItem[];
}

/** Lays out what is off. Plugs are not in the tray but in their openings. */
export function layOutTray(job: Job): TrayLayout {
  const off = job.items.filter((item) => item.state === 'off' && item.aside === null && comesOff(item));
  const byPocket = new Map<string, JobItem[]>();
  for (const item of off) {
    if (item.pocket === '') continue;
    const list = byPocket.get(item.pocket.toUpperCase());
    if (list === undefined) byPocket.set(item.pocket.toUpperCase(), [item]);
    else list.push(item);
  }
  const take = (id: string): JobItem[] => {
    const found = byPocket.get(id) ?? [];
    byPocket.delete(id);
    return found;
  };
  const rows = pocketsOf(job).map((row) =>
    row.map((id): Pocket => ({ id, name: job.tray.names[id] ?? '', items: take(id) })),
  );
  return {
    rows,
    elsewhere: [...byPocket.values()].map((items): Pocket => ({ id: items[0]?.pocket ?? '', name: '', items })),
    nowhere: off.filter(({ pocket, kind }) => pocket === '' && !hangsLoose({ kind })),
  };
}
