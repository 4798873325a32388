import type { Job } from '../job.ts';
import type { JobItem } from './state.ts';

/** What stays hanging on the vehicle when it is off: it needs no pocket. */
const HANGING: ReadonlySet<JobItem['kind']> = new Set<JobItem['kind']>(['connector', 'hose', 'coolant-hose', 'cable']);

/** Whether an item of this kind stays hanging where it is when it is off. */
export const hangsLoose = ({ kind }: Pick<JobItem, 'kind'>): boolean => HANGING.has(kind);

/** Rows are lettered, columns numbered: “B3”. Both count from 0. */
export const pocketId = (row: number, column: number): string => `${String.fromCharCode(65 + row)}${column + 1}`;

/** The tray's pockets, row by row. */
export const pocketsOf = ({ tray }: Pick<Job, 'tray'>): readonly (readonly string[])[] =>
  Array.from({ length: tray.rows }, (_, row) =>
    Array.from({ length: tray.columns }, (__, column) => pocketId(row, column)),
  );

/**
 * The first pocket of the tray with nothing in it. When all are taken, the one with the fewest things in it, those of
 * the same heading first: what came off together lies together.
 * @param meant pockets that something else is meant for
 */
export function freePocket(job: Job, section = '', meant: readonly string[] = []): string {
  const inside = new Map<string, JobItem[]>();
  for (const item of job.items)
    if (item.state === 'off' && item.pocket !== '') inside.set(item.pocket, [...(inside.get(item.pocket) ?? []), item]);
  const pockets = pocketsOf(job).flat();
  const contents = (pocket: string): readonly JobItem[] => inside.get(pocket) ?? [];
  const kin = (pocket: string): number =>
    Number(section !== '' && contents(pocket).some((item) => item.section === section));
  const full = (pocket: string): number => contents(pocket).length + meant.filter((each) => each === pocket).length;
  const empty = pockets.find((pocket) => full(pocket) === 0);
  return empty ?? [...pockets].sort((x, y) => kin(y) - kin(x) || full(x) - full(y))[0] ?? '';
}

/** The place of a unit that is off: where units are worked on. */
export const UNIT_PLACE = 'bench';

/** Where an item goes when nobody says: a unit to where it is worked on, what hangs stays there, the rest to the tray. */
export function placeFor(job: Job, item: JobItem): string {
  if (item.pocket !== '') return item.pocket;
  if (item.kind === 'unit') return UNIT_PLACE;
  return hangsLoose(item) ? '' : freePocket(job, item.section);
}

/** The tag of an item when nobody types one: what its procedure says tells it from its look-alikes. */
export const tagFor = ({ label, tag }: Pick<JobItem, 'label' | 'tag'>): string => label || (tag ?? '');
