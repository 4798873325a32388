import { type Job, recordingBandOf } from '../../core/job/index.ts';
import {
  align,
  between,
  channelOf,
  longestOf,
  PHASES,
  type PhaseKind,
  type Role,
  ROLES,
  thin,
  type Trace,
} from '../../core/trace/index.ts';
import type { Recordings } from '../store/recordings.ts';
import { BOTTLE, type Doc, INK, LEFT, LINE, SOFT, WIDTH } from './page.ts';

/** A line of the printed picture, in seconds and its own unit. */
interface PrintedLine {
  readonly when: 'before' | 'after';
  readonly times: Float64Array;
  readonly values: Float64Array;
}
/** A lane of the printed picture. */
interface PrintedLane {
  readonly name: string;
  readonly low: number;
  readonly high: number;
  readonly band: { readonly low: number; readonly high: number } | null;
  readonly lines: readonly PrintedLine[];
}
/** Live data before under after, as it is printed. */
export interface LivePicture {
  readonly title: string;
  readonly from: number;
  readonly to: number;
  readonly lanes: readonly PrintedLane[];
}

/** Phases by how much they show of a complaint. */
const SHOWN: readonly PhaseKind[] = ['blip', 'warm-idle', 'loads', 'cold-idle', 'sweep'];
const LANES: readonly Role[] = ['rpm', 'plate', 'duty', 'steps', 'air-mass'];
const MOST_LANES = 3;
const POINTS = 400;
const BLIP = { from: -3, to: 12 };
const LONGEST_S = 40;

/** The picture of the last recordings of a job; null where there is none, or its files are gone. */
export function liveForPrint(job: Job, recordings: Recordings): LivePicture | null {
  const opened = (['before', 'after'] as const).flatMap((when) => {
    const kept = job.recordings.filter((each) => each.when === when).at(-1);
    const trace = kept === undefined ? null : recordings.trace(kept.hash);
    return kept === undefined || trace === null ? [] : [{ when, trace: { ...trace, phases: kept.phases } }];
  });
  const kind = SHOWN.find((each) => opened.some(({ trace }) => longestOf(trace, each) !== null));
  if (kind === undefined) return null;
  const [first, second] = opened;
  const aligned = kind === 'blip' && first && second ? align(first.trace, second.trace, 'blip') : null;
  const zero = (when: 'before' | 'after', trace: Trace): number =>
    aligned !== null ? aligned[when] : (longestOf(trace, kind)?.from ?? 0);
  const long = Math.max(
    ...opened.map(({ trace }) => (longestOf(trace, kind)?.to ?? 0) - (longestOf(trace, kind)?.from ?? 0)),
  );
  const { from, to } = aligned !== null ? BLIP : { from: 0, to: Math.min(LONGEST_S, Math.max(long, 1)) };
  const lanes = LANES.flatMap((role): PrintedLane[] => {
    const lines = opened.flatMap(({ when, trace }): PrintedLine[] => {
      const channel = channelOf(trace, role);
      if (channel === null) return [];
      const at = zero(when, trace);
      const points = thin(between(channel, at + from, at + to), POINTS);
      return points.times.length === 0
        ? []
        : [{ when, times: points.times.map((time) => time - at), values: points.values }];
    });
    if (lines.length === 0) return [];
    const band = recordingBandOf(job, role);
    const all = [...lines.flatMap(({ values }) => [...values]), ...(band === null ? [] : [band.low, band.high])];
    const [low, high] = [Math.min(...all), Math.max(...all)];
    const room = Math.max((high - low) * 0.08, 0.5);
    return [{ name: `${ROLES[role].name}, ${ROLES[role].unit}`, low: low - room, high: high + room, band, lines }];
  }).slice(0, MOST_LANES);
  return lanes.length === 0 ? null : { title: `Live data, ${PHASES[kind]}`, from, to, lanes };
}

const FIRST_HEIGHT = 110;
const LANE_HEIGHT = 46;
const AXIS_WIDTH = 34;
const OXIDE = '#A8472A';
const MOSS = '#4B6B2F';

/** Draws it: before broken, after whole, so that it reads in grey as well. */
export function printLive(doc: Doc, { title, from, to, lanes }: LivePicture): void {
  const height = FIRST_HEIGHT + (lanes.length - 1) * LANE_HEIGHT + 46;
  if (doc.y + height > doc.page.height - doc.page.margins.bottom) doc.addPage();
  doc.moveDown(0.8).font('strong').fontSize(9.5).fillColor(BOTTLE);
  doc.text(`${title}: before broken, after whole`, LEFT, doc.y, { width: WIDTH });
  let top = doc.y + 4;
  const left = LEFT + AXIS_WIDTH;
  const width = WIDTH - AXIS_WIDTH;
  const x = (time: number): number => left + ((time - from) / (to - from)) * width;
  for (const [index, lane] of lanes.entries()) {
    const tall = index === 0 ? FIRST_HEIGHT : LANE_HEIGHT;
    const y = (value: number): number => top + tall - ((value - lane.low) / (lane.high - lane.low)) * tall;
    if (lane.band !== null)
      doc
        .rect(left, y(lane.band.high), width, y(lane.band.low) - y(lane.band.high))
        .fillOpacity(0.15)
        .fill(MOSS)
        .fillOpacity(1);
    doc.rect(left, top, width, tall).lineWidth(0.6).strokeColor(LINE).stroke();
    for (const { when, times, values } of lane.lines) {
      times.forEach((time, at) =>
        at === 0 ? doc.moveTo(x(time), y(values[at]!)) : doc.lineTo(x(time), y(values[at]!)),
      );
      if (when === 'before') doc.dash(4, { space: 3 });
      doc
        .lineWidth(when === 'before' ? 0.9 : 1.3)
        .strokeColor(when === 'before' ? OXIDE : BOTTLE)
        .stroke();
      doc.undash();
    }
    doc
      .font('strong')
      .fontSize(7.5)
      .fillColor(INK)
      .text(lane.name, left + 4, top + 3, { lineBreak: false });
    doc.font('text').fontSize(7.5).fillColor(SOFT);
    for (const value of [lane.low, lane.high])
      doc.text(String(Math.round(value * 10) / 10), LEFT, value === lane.high ? top : top + tall - 8, {
        width: AXIS_WIDTH - 5,
        align: 'right',
        lineBreak: false,
      });
    top += tall;
  }
  doc.font('text').fontSize(7.5).fillColor(SOFT);
  for (const time of [from, (from + to) / 2, to])
    doc.text(`${Math.round(time * 10) / 10} s`, x(time) - 20, top + 3, {
      width: 40,
      align: 'center',
      lineBreak: false,
    });
  doc.x = LEFT;
  doc.y = top + 16;
}
