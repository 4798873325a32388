import { type AirOf, idleAirIn, valveCurve } from './air.ts';
import { hunting } from './hunting.ts';
import { longestOf } from './phases.ts';
import { type Implausible, plausibility } from './plausible.ts';
import { blips, idleBand, response, settling, SETTLES_S } from './settling.ts';
import { median } from './statistics.ts';
import { agreement, loneDropOuts, sweepTrack } from './sweep.ts';
import { between, type Channel, channelOf, type Phase, type Role, type Trace } from './trace.ts';
import { heldSpeed, trimsIn } from './trims.ts';

/** What can be told of a recording in one figure. Ids are stored: never change one. */
export const TRACE_FIGURES = {
  idle: { name: 'Idle speed, warm', unit: 'rpm' },
  'idle-cold': { name: 'Idle speed, cold', unit: 'rpm' },
  'idle-share': { name: 'Time in the idle band', unit: '%' },
  swing: { name: 'Idle swings by', unit: 'rpm' },
  'swing-period': { name: 'A swing takes', unit: 's' },
  settle: { name: 'Back in the band after a blip', unit: 's' },
  'blip-lowest': { name: 'Lowest after a blip', unit: 'rpm' },
  response: { name: 'Speed follows the foot in', unit: 's' },
  'loads-lowest': { name: 'Lowest with loads on', unit: 'rpm' },
  'sweep-drop-outs': { name: 'Drop-outs over the sweep', unit: '' },
  'sweep-flat': { name: 'Flat spots over the sweep', unit: '' },
  'sweep-largest': { name: 'Furthest from a straight line', unit: '%' },
  'tracks-apart': { name: 'Tracks disagree by', unit: '%' },
  'tracks-apart-running': { name: 'Tracks disagree by, engine running', unit: '%' },
  'trim-idle': { name: 'Trims together at idle, bank 1', unit: '%' },
  'trim-held': { name: 'Trims together at speed, bank 1', unit: '%' },
  'trim-idle-second': { name: 'Trims together at idle, bank 2', unit: '%' },
  'trim-held-second': { name: 'Trims together at speed, bank 2', unit: '%' },
  duty: { name: 'Idle valve duty', unit: '%' },
  steps: { name: 'Idle valve steps', unit: 'steps' },
  'air-mass': { name: 'Air mass at idle', unit: 'g/s' },
  manifold: { name: 'Manifold pressure at idle', unit: 'kPa' },
  'gap-area': { name: 'Gap and leaks', unit: 'mm²' },
  'valve-curve': { name: 'The valve lets through, a per cent', unit: 'mm²' },
} as const satisfies Record<string, { name: string; unit: string }>;
/** The id of one of {@link TRACE_FIGURES}. */
export type TraceFigureKind = keyof typeof TRACE_FIGURES;

/** A figure that was found, and where. */
export interface TraceFigure {
  readonly kind: TraceFigureKind;
  readonly value: number;
  /** Standard deviation of what is known of it; null where it is as read. */
  readonly sd: number | null;
  /** It took longer than that: the recording ended before. */
  readonly atLeast?: true;
  /** The stretch it is of, s. */
  readonly from: number;
  readonly to: number;
}

/** What a recording shows. */
export interface TraceReport {
  readonly figures: readonly TraceFigure[];
  readonly implausible: readonly Implausible[];
  /** What could not be told, and why. */
  readonly untold: readonly string[];
}

/** What a recording is judged by. */
export interface ReportBy {
  readonly idleBand: { readonly low: number; readonly high: number } | null;
  /** Null where the engine is not known. */
  readonly air: AirOf | null;
}

/** Everything that a recording shows, phase by phase. */
export function reportOn(trace: Trace, by: ReportBy): TraceReport {
  const figures: TraceFigure[] = [];
  const untold: string[] = [];
  const add = (
    kind: TraceFigureKind,
    value: number | undefined,
    span: Pick<Phase, 'from' | 'to'>,
    sd: number | null = null,
    atLeast = false,
  ): void => {
    if (value === undefined || !Number.isFinite(value)) return;
    figures.push({ kind, value, sd, from: span.from, to: span.to, ...(atLeast ? { atLeast } : {}) });
  };
  idleFigures(trace, by, add, untold);
  blipFigures(trace, by, add, untold);
  sweepFigures(trace, add, untold);
  airFigures(trace, by, add, untold, () => figures);
  return { figures, implausible: plausibility(trace, by.air?.displacementL ?? null), untold };
}

type Add = (
  kind: TraceFigureKind,
  value: number | undefined,
  span: Pick<Phase, 'from' | 'to'>,
  sd?: number | null,
  atLeast?: boolean,
) => void;

const part = (trace: Trace, role: Role, { from, to }: Pick<Phase, 'from' | 'to'>): Channel | null => {
  const channel = channelOf(trace, role);
  const cut = channel === null ? null : between(channel, from, to);
  return cut === null || cut.values.length === 0 ? null : cut;
};

function idleFigures(trace: Trace, by: ReportBy, add: Add, untold: string[]): void {
  const cold = longestOf(trace, 'cold-idle');
  const warm = longestOf(trace, 'warm-idle');
  const coldRpm = cold && part(trace, 'rpm', cold);
  if (cold && coldRpm) add('idle-cold', median(coldRpm.values), cold);
  const rpm = warm && part(trace, 'rpm', warm);
  if (!warm || !rpm) return;
  const idle = idleBand(rpm, by.idleBand);
  add('idle', idle?.mean, warm);
  if (idle?.share !== null && idle !== null) add('idle-share', idle.share * 100, warm);
  const swing = hunting(rpm);
  if (swing.why !== '') untold.push(`hunting: ${swing.why}`);
  else {
    add('swing', swing.hunts ? swing.amplitude : 0, warm);
    if (swing.hunts && swing.periodS !== null) add('swing-period', swing.periodS, warm);
  }
  for (const role of ['duty', 'steps', 'air-mass', 'manifold'] as const) {
    const channel = part(trace, role, warm);
    if (channel) add(role, median(channel.values), warm);
  }
  const loads = longestOf(trace, 'loads');
  const loaded = loads && part(trace, 'rpm', loads);
  if (loads && loaded)
    add(
      'loads-lowest',
      loaded.values.reduce((least, value) => Math.min(least, value)),
      loads,
    );
  const held = idle === null ? null : heldSpeed(trace, idle.mean);
  for (const trim of trimsIn(trace, warm)) add(trim.bank === 1 ? 'trim-idle' : 'trim-idle-second', trim.together, warm);
  if (held !== null)
    for (const trim of trimsIn(trace, held))
      add(trim.bank === 1 ? 'trim-held' : 'trim-held-second', trim.together, held);
}

const AFTER_BLIP_S = 12;

function blipFigures(trace: Trace, by: ReportBy, add: Add, untold: string[]): void {
  const rpm = channelOf(trace, 'rpm');
  if (rpm === null) return;
  const found = blips(rpm, channelOf(trace, 'pedal') ?? channelOf(trace, 'plate'));
  const blip = found[0];
  if (blip === undefined) return;
  const until = Math.min(found[1]?.opened ?? Number.POSITIVE_INFINITY, rpm.times[rpm.times.length - 1]!);
  // What comes much later is not the blip’s doing.
  const lowestUntil = Math.min(until, blip.closed + AFTER_BLIP_S);
  add('response', response(rpm, blip.opened, blip.closed + 1)?.riseS, { from: blip.opened, to: blip.closed });
  if (by.idleBand === null) return void untold.push('settling: no idle band is known');
  const settled = settling(rpm, blip.closed, by.idleBand, until);
  if (settled.seconds !== null) add('settle', settled.seconds, { from: blip.closed, to: settled.at ?? blip.closed });
  else if (settled.stalled) untold.push('settling: it died after the blip');
  else {
    untold.push('settling: it did not come back into the band in this recording');
    // Too slow is told however long it would have taken.
    if (settled.atLeast > SETTLES_S) add('settle', settled.atLeast, { from: blip.closed, to: until }, null, true);
  }
  const fell = between(rpm, blip.closed, lowestUntil);
  add(
    'blip-lowest',
    fell.values.reduce((least, value) => Math.min(least, value), Number.POSITIVE_INFINITY),
    { from: blip.closed, to: lowestUntil },
  );
}

function sweepFigures(trace: Trace, add: Add, untold: string[]): void {
  runningTracks(trace, add);
  const phase = longestOf(trace, 'sweep');
  if (phase === null) return;
  const plate = part(trace, 'plate', phase);
  const second = part(trace, 'plate-second', phase);
  const command = part(trace, 'pedal', phase) ?? part(trace, 'plate-command', phase) ?? second;
  const sweep = plate && command ? sweepTrack(plate, command) : null;
  const alone = plate && command === null ? loneDropOuts(plate) : null;
  if (sweep !== null) {
    if (sweep.blind !== '') untold.push(`sweep: ${sweep.blind}`);
    add('sweep-drop-outs', sweep.dropOuts.length, phase);
    add('sweep-flat', sweep.flatSpots.length, phase);
    add('sweep-largest', Math.abs(sweep.largest), phase);
  } else if (alone !== null) {
    add('sweep-drop-outs', alone, phase);
    untold.push('sweep: one track and no pedal: a line cannot be drawn, only short drop-outs are seen');
  } else untold.push('sweep: the plate was not moved far enough');
  const agree = plate && second ? agreement(plate, second) : null;
  if (agree !== null) add('tracks-apart', Math.abs(agree.worst), phase);
}

/** Tracks that agree with the key on may part once the engine shakes them: the same look at them while it runs. */
function runningTracks(trace: Trace, add: Add): void {
  const phase = longestOf(trace, 'blip') ?? longestOf(trace, 'road');
  const first = phase && part(trace, 'plate', phase);
  const second = phase && part(trace, 'plate-second', phase);
  const agree = first && second ? agreement(first, second) : null;
  if (phase && agree !== null) add('tracks-apart-running', Math.abs(agree.worst), phase);
}

function airFigures(
  trace: Trace,
  { air }: ReportBy,
  add: Add,
  untold: string[],
  figuresOf: () => readonly TraceFigure[],
): void {
  const warm = longestOf(trace, 'warm-idle');
  if (warm === null || air === null) return;
  // A valve that sticks is not where it is asked to be: its curve cannot be found from it.
  const swings = figuresOf().some(({ kind, value }) => kind === 'swing' && value > 0);
  const curve = air.valveMm2PerPercent ?? (swings ? null : valveCurve(trace, air));
  const governs = channelOf(trace, 'duty') !== null || channelOf(trace, 'steps') !== null;
  if (governs && curve === null && swings)
    return void untold.push('idle air: it hunts, so the valve is not where it is asked to be');
  if (governs && curve === null)
    return void untold.push('idle air: the valve has to move, cold or with loads on, before its share can be told');
  if (!governs && (air.boreMm === null || channelOf(trace, 'plate-degrees') === null))
    return void untold.push('idle air: neither the valve nor the angle of the plate was read');
  const area = idleAirIn(trace, warm, air, curve);
  if (area === null) return void untold.push('idle air: neither air mass nor manifold pressure was read');
  if (curve !== null) add('valve-curve', curve.value, warm, curve.sd);
  add('gap-area', area.ungoverned.value, warm, area.ungoverned.sd);
}
