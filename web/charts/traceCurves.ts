import {
  type Channel,
  channelOf,
  quantile,
  type Role,
  ROLES,
  thin,
  type Trace,
  valueAt,
} from '../../core/trace/index.ts';

/** One recording on the chart: when it is of, and what of its time is the zero of the chart. */
export interface Laid {
  readonly when: 'before' | 'after';
  readonly trace: Trace;
  /** Seconds of the recording that lie at zero. */
  readonly zero: number;
}

/** A bracket over the first lane: how long something took. */
export interface Bracket {
  readonly when: 'before' | 'after';
  readonly from: number;
  readonly to: number;
  readonly words: string;
}

/** A lane of the chart: one thing that was read, before and after on one scale. */
export interface TraceLane {
  readonly role: Role;
  readonly name: string;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  /** The band that it belongs in, where one is known. */
  readonly band: { readonly low: number; readonly high: number } | null;
  /** Its share of the height. */
  readonly weight: number;
  /** Between two ticks. */
  readonly step: number;
}

/** A line of a lane, in time from zero. */
export interface TraceSeries {
  readonly role: Role;
  readonly when: 'before' | 'after';
  readonly points: { x: number; y: number }[];
}

/** Everything that is drawn. */
export interface TraceCurves {
  readonly lanes: readonly TraceLane[];
  readonly series: readonly TraceSeries[];
  readonly from: number;
  readonly to: number;
}

/** The order of lanes: what matters most on top. */
const ORDER = Object.keys(ROLES) as Role[];

/** Roles of which any of the recordings has a channel, in the order of lanes. */
export const rolesOf = (laid: readonly Laid[]): Role[] =>
  ORDER.filter((role) => laid.some(({ trace }) => channelOf(trace, role) !== null));

const channelsOf = (laid: readonly Laid[], role: Role): { readonly laid: Laid; readonly channel: Channel }[] =>
  laid.flatMap((each) => {
    const channel = channelOf(each.trace, role);
    return channel === null || channel.values.length === 0 ? [] : [{ laid: each, channel }];
  });

/** From where to where all recordings go, from zero, s. */
export function spanOfAll(laid: readonly Laid[]): { readonly from: number; readonly to: number } {
  let [from, to] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const { trace, zero } of laid)
    for (const { times } of trace.channels) {
      if (times.length === 0) continue;
      from = Math.min(from, times[0]! - zero);
      to = Math.max(to, times[times.length - 1]! - zero);
    }
  return Number.isFinite(from) ? { from, to: to > from ? to : from + 1 } : { from: 0, to: 1 };
}

/**
 * Curves of recordings laid over each other, for a stretch and a width: thinned so that no peak is lost.
 * @param roles the lanes @param bands by role @param pixels width of the drawing
 * @param brackets how many need room under the first lane
 */
export function traceCurves(
  laid: readonly Laid[],
  roles: readonly Role[],
  bands: Readonly<Partial<Record<Role, { readonly low: number; readonly high: number }>>>,
  { from, to }: { readonly from: number; readonly to: number },
  pixels: number,
  brackets = 0,
): TraceCurves {
  const lanes: TraceLane[] = [];
  const series: TraceSeries[] = [];
  for (const role of roles) {
    const channels = channelsOf(laid, role);
    if (channels.length === 0) continue;
    const shown = channels.map(({ laid: { when, zero }, channel }) => {
      const points = thin(within(channel, from + zero, to + zero), pixels, from + zero, to + zero);
      return { when, xs: points.times.map((time) => time - zero), ys: points.values };
    });
    const band = bands[role] ?? null;
    const all = [...shown.flatMap(({ ys }) => extremes(ys)), ...(band === null ? [] : [band.low, band.high])];
    if (all.length === 0) continue;
    const first = lanes.length === 0;
    const [low, high] = [Math.min(...all), Math.max(...all)];
    // Under the curves of the first lane there is room for its brackets.
    const below = first ? brackets * BRACKET_SHARE * Math.max(high - low, 1) : 0;
    const room = Math.max((high - low) * 0.06, Math.abs(high) * 0.01, 0.2);
    const step = niceStep(high + 2 * room - low + below, first ? 6 : 2);
    lanes.push({
      role,
      name: ROLES[role].name,
      unit: channels[0]!.channel.unit,
      low: Math.floor((low - room - below) / step) * step,
      high: Math.ceil((high + room) / step) * step,
      step,
      band,
      weight: first ? 3 : 1,
    });
    for (const { when, xs, ys } of shown)
      series.push({ role, when, points: Array.from(xs, (x, at) => ({ x, y: ys[at]! })) });
  }
  return { lanes, series, from, to };
}

/** Height of a bracket with its words, as a share of what the curves take. */
const BRACKET_SHARE = 0.16;

/** A channel from one time to another, with one reading beyond either edge. */
function within(channel: Channel, from: number, to: number): Channel {
  const { times, values } = channel;
  let start = 0;
  let end = times.length;
  while (start < end && times[start + 1]! < from) start += 1;
  while (end > start && times[end - 2]! > to) end -= 1;
  return { ...channel, times: times.subarray(start, end), values: values.subarray(start, end) };
}

const extremes = (values: Float64Array): number[] =>
  values.length === 0 ? [] : [quantile(values, 0), quantile(values, 1)];

/** What every lane shows at one time from zero; null where a recording does not reach. */
export function valuesAt(
  laid: readonly Laid[],
  roles: readonly Role[],
  at: number,
): readonly { readonly role: Role; readonly before: number | null; readonly after: number | null }[] {
  const of = (role: Role, when: 'before' | 'after'): number | null => {
    const found = channelsOf(laid, role).find((each) => each.laid.when === when);
    if (found === undefined) return null;
    const { times } = found.channel;
    const time = at + found.laid.zero;
    return time < times[0]! - 0.5 || time > times[times.length - 1]! + 0.5 ? null : valueAt(found.channel, time);
  };
  return roles.map((role) => ({ role, before: of(role, 'before'), after: of(role, 'after') }));
}

/** A step of a scale that shows about so many ticks. */
export function niceStep(span: number, ticks: number): number {
  const rough = span / Math.max(1, ticks);
  const power = 10 ** Math.floor(Math.log10(Math.max(rough, 1e-9)));
  const share = rough / power;
  return power * (share <= 1 ? 1 : share <= 2 ? 2 : share <= 5 ? 5 : 10);
}
