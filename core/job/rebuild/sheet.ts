import { COUNTED_SCREWS, type CountedScrew, netTurns, turnWords } from '../../rebuild/index.ts';
import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import { UNIT_KINDS, warrantyUntil } from '../../vehicle/index.ts';
import { itemOfUnit } from '../items/units.ts';
import type { Job } from '../job.ts';
import { FAIL_CODES } from './failCodes.ts';
import type { SealDecision } from './state.ts';

/** Seals with reasons. */
export const sealRows = (job: Job): SheetRow[] =>
  job.seals.map(({ name, decision, partNumber, why, instead }) =>
    row(
      name,
      decision,
      [partNumber, why, instead === null ? '' : `before: ${sealWords(instead)}`].filter(Boolean).join(' · '),
    ),
  );

/** What was decided of a seal, with why. */
export const sealWords = ({ decision, why }: Pick<SealDecision, 'decision' | 'why'>): string =>
  why === '' ? decision : `${decision}, ${why}`;

/** Units that were replaced, by what and why. */
export const replacedRows = (job: Job, say: Speaker): SheetRow[] =>
  job.replaced.map(({ place, oldPartNumber, fitted, failCode, failNote, words, anyway, at }) =>
    row(
      `Replaced${place === 'only' ? '' : `, ${place}`}`,
      `${oldPartNumber || 'no number'} by ${fitted.partNumber}, ${fitted.origin}, tag ${fitted.unitId}`,
      [
        `${failCode} ${FAIL_CODES[failCode]}${failNote === '' ? '' : `: ${failNote}`}`,
        words,
        anyway === '' ? '' : `fitted all the same: ${anyway}`,
        fitted.warrantyMonths === 0
          ? 'no warranty'
          : `warranty until ${say.day(warrantyUntil(say.isoDay(at), fitted.warrantyMonths))}`,
      ]
        .filter(Boolean)
        .join(' · '),
    ),
  );

/** What was set, and what was kept to its place. */
export const settingRows = (job: Job): SheetRow[] => [
  ...job.sweeps.map(({ when, points, words }) =>
    row(`Position sensor, ${when}`, points.map(({ volts }) => `${volts} V`).join(' · '), words),
  ),
  ...turnRows(job),
  ...job.pieces.map(({ what, place, returned }) =>
    row(`${what}, ${place}`, returned === null ? 'STILL APART' : returned.renewed ? 'renewed' : 'back in its place'),
  ),
];

function turnRows(job: Job): SheetRow[] {
  const groups = new Map<string, { screw: CountedScrew; turns: Job['turned'] }>();
  for (const turn of job.turned) {
    const key = `${turn.unit}\u0000${turn.screw}`;
    groups.set(key, { screw: turn.screw, turns: [...(groups.get(key)?.turns ?? []), turn] });
  }
  return [...groups.values()].map(({ screw, turns }) =>
    row(
      COUNTED_SCREWS[screw],
      turnWords(netTurns(turns, screw)),
      turns
        .map(({ why }) => why)
        .filter(Boolean)
        .join('; '),
    ),
  );
}

/** The units of this engine with their numbers, and what became of each. */
export const unitRows = (job: Job): SheetRow[] =>
  job.vehicle.units.map((unit) =>
    row(`${UNIT_KINDS[unit.kind]}, ${unit.place}`, `${unit.partNumber}, variant ${unit.variant}`, fateOf(job, unit)),
  );

function fateOf(job: Job, unit: Job['vehicle']['units'][number]): string {
  const swapped = job.replaced.find(({ oldUnitId }) => oldUnitId === unit.id);
  if (swapped !== undefined) return `replaced by ${swapped.fitted.partNumber}, ${swapped.fitted.origin}`;
  const item = itemOfUnit(job, unit.id);
  switch (item?.state) {
    case undefined:
    case 'on':
      return 'stayed on';
    case 'off':
      return 'off';
    case 'renewed':
      return `replaced by ${item?.fitted || 'a new one'}`;
    case 'left-off':
      return 'left off';
    case 'refitted':
      return 'off and refitted';
  }
}
