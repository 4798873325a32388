import { type CommandData, type Job, jobPlan, nextOff } from '../../core/job/index.ts';
import { tighteningOrder } from '../../core/torque/index.ts';
import type { Player } from '../player.ts';
import { boreDrawing } from '../drawing.ts';

/** Ticks everything the procedure needs. */
export async function prepareAll(player: Player): Promise<void> {
  for (const { id } of player.job.procedure?.needs ?? [])
    await player.do('tick-need', { needId: id, state: 'ready', expected: null }, 1);
  await player.do('acknowledge-caution', { caution: 'battery' }, 1);
  await player.do('pass-stage', { stage: 'prepare' }, 1);
}

/** Takes everything off in the procedure's order and plugs each opening at once. */
export async function stripAll(player: Player): Promise<void> {
  const pockets = ['A1', 'A2', 'A3', 'B1', 'B2', 'B3', 'C1', 'C2', 'C3'];
  let taken = 0;
  for (let item = nextOff(player.job); item !== null; item = nextOff(player.job)) {
    const pocket = item.kind === 'unit' ? 'bench' : (pockets[taken % pockets.length] ?? '');
    const label = item.id.startsWith('vac-')
      ? `tag ${item.id.slice(-1).toUpperCase()}`
      : item.alike === undefined
        ? ''
        : `cylinder ${item.id.slice(-1)}`;
    await player.do('remove-item', { itemId: item.id, pocket, label, countedOut: item.fasteners?.count ?? null });
    taken += 1;
    for (const opening of player.job.openings.filter(({ state }) => state === 'open')) {
      await player.do('plug-opening', { openingId: opening.id, plugId: player.id(), what: opening.plugWith }, 1);
    }
  }
}

/** Tightens a group over all its passes, crosswise. @param stopAfter leaves off after so many entries */
export async function tightenAll(
  player: Player,
  itemId: string,
  reached: string,
  wrenchId: string,
  stopAfter = Number.POSITIVE_INFINITY,
): Promise<void> {
  const group = player.job.items.find(({ id }) => id === itemId)?.fasteners;
  if (!group) return;
  let made = 0;
  for (const [index] of group.fractions.entries()) {
    for (const boltId of tighteningOrder(group.bolts)) {
      if (made >= stopAfter) return;
      made += 1;
      const final = index === group.fractions.length - 1;
      await player.do(
        'tighten-bolt',
        { itemId, boltId, pass: index + 1, method: 'wrench', torqueText: final ? reached : '4 Nm', wrenchId },
        1,
      );
    }
  }
}

/** What each torqued group of the demo reaches, and with which wrench. */
const REACHED: Readonly<Record<string, readonly [string, string]>> = {
  flange: ['75 in·lb', 'small-click'],
  loom: ['71 in·lb', 'small-click'],
  support: ['20 Nm', 'middle-click'],
  'valve-screws': ['35 in·lb', 'small-click'],
  'tps-screws': ['1.8 Nm', 'driver'],
  bolts: ['7 Nm', 'small-click'],
};

/** Puts things back in the plan's order, until an item (not included) or to the end. */
export async function refitUntil(player: Player, stopAt: string | null): Promise<void> {
  for (;;) {
    const step = nextStep(player.job);
    if (step === null || step === stopAt) return;
    const item = player.job.items.find(({ id }) => id === step);
    if (item === undefined) return;
    if (item.origin === 'plug') {
      const opening = player.job.openings.find(({ plugId, state }) => plugId === item.id && state === 'plugged');
      if (opening === undefined) return;
      await player.do('unplug-opening', { openingId: opening.id }, 1);
      continue;
    }
    const torque = REACHED[item.id];
    if (item.fasteners?.spec && torque && item.kind === 'fasteners') {
      await tightenAll(player, item.id, torque[0], torque[1]);
      continue;
    }
    const renewed = item.singleUse;
    await player.do('put-back-item', {
      itemId: item.id,
      renewed,
      fitted: renewed ? item.partNumber : '',
      countedBack: item.countedOut,
      confirmed: item.kind === 'connector',
    });
    if (item.fasteners?.spec && torque) await tightenAll(player, item.id, torque[0], torque[1]);
  }
}

function nextStep(job: Job): string | null {
  const plan = jobPlan(job);
  if (!plan.ok) throw new Error('The demo procedure goes in a circle.');
  return plan.steps.find(({ itemId }) => job.items.find(({ id }) => id === itemId)?.state === 'off')?.itemId ?? null;
}

/** Records a check of the knowledge by what was found. */
export const checkDone = (player: Player, check: string, outcome: string, minutes: number): Promise<void> =>
  player.do('record-check', { id: player.id(), check, outcome, typed: [], when: 'before' }, minutes);

/** Decides; no house rule stands in the way. */
export const decide = (player: Player, what: Pick<CommandData['decide'], 'choice' | 'reason'>): Promise<void> =>
  player.do('decide', { ...what, departure: '', options: [] });

/** A run from start to finish with readings that meet its conditions. */
export async function runThrough(player: Player, recipeId: string, outcome: 'took' | 'did not take'): Promise<void> {
  const runId = player.id();
  await player.do('start-run', { id: runId, recipeId });
  const send = (input: Parameters<typeof player.do<'advance-run'>>[1]['input'], minutes: number) =>
    player.do('advance-run', { runId, input }, minutes);
  await send({ kind: 'reading', name: 'ect', value: 84 }, 1);
  await send({ kind: 'flag', name: 'loads-off', on: true }, 0.2);
  await send({ kind: 'flag', name: 'heater-hot', on: true }, 0.2);
  await send({ kind: 'reading', name: 'speed', value: 50 }, 0.2);
  for (let left = 20; left > 0 && player.job.runs.at(-1)?.run.status === 'running'; left -= 1)
    await send({ kind: 'confirm' }, 6);
  await player.do('close-run', { runId, outcome, why: outcome === 'took' ? '' : 'idle stayed high' }, 1);
}

type Point = CommandData['judge-point'];
/** Judges one stop of the walk. */
export const judge = (
  player: Player,
  unit: Pick<Point, 'unit' | 'kind' | 'form'>,
  point: string,
  found: Partial<Pick<Point, 'marks' | 'outcome' | 'typed' | 'which' | 'note' | 'when'>>,
  minutes = 1,
): Promise<void> =>
  player.do(
    'judge-point',
    {
      id: player.id(),
      ...unit,
      point,
      when: 'before',
      which: '',
      marks: [],
      outcome: '',
      typed: [],
      note: '',
      ...found,
    },
    minutes,
  );

/** The two units of a cable engine, as the bench knows them. */
export const CABLE_BODY = { unit: 'throttle-body', kind: 'throttle-body', form: 'cable' } as const;
export const ROTARY_VALVE = { unit: 'idle-valve', kind: 'idle-valve', form: 'rotary-valve' } as const;
export const ELECTRONIC_BODY = { unit: 'throttle-body', kind: 'throttle-body', form: 'electronic' } as const;

/** Inspect and clean, the same for every unit of the demo. */
export async function inspectAndClean(
  player: Player,
  unit: typeof CABLE_BODY | typeof ROTARY_VALVE | typeof ELECTRONIC_BODY,
  grade: number,
): Promise<void> {
  const point = unit.unit === 'throttle-body' ? 'deposit-edge' : 'valve-deposit';
  await judge(player, unit, point, { marks: [grade], note: 'dark ring where it closes' }, 2);
  await player.picture(boreDrawing(grade / 4, unit.unit), unit.unit, 'before', 'as it came off');
  const round =
    unit.form === 'electronic'
      ? (['protect', 'wipe', 'brush', 'wipe'] as const)
      : (['protect', 'wet', 'soak', 'brush', 'wipe'] as const);
  for (const kind of round) await player.do('do-pass', { id: player.id(), unit: unit.unit, kind }, 4);
  await judge(player, unit, point, { marks: [0], when: 'after', note: 'clean to the edge' }, 2);
  if (unit.unit === 'throttle-body')
    await judge(player, unit, 'light', { marks: Array.from({ length: 12 }, () => 1), when: 'after' });
  await player.do('do-pass', { id: player.id(), unit: unit.unit, kind: 'dry' }, 4);
  await player.picture(boreDrawing(0.02, unit.unit), unit.unit, 'after', 'cleaned and dry');
}
