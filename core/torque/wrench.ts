import { convert } from '../quantity/index.ts';
import type { TorqueSpec, Wrench } from './types.ts';

/** What a wrench can do for a specification. */
export type WrenchVerdict = 'suits' | 'rounding leaves the band' | 'below its range' | 'above its range';

/** A setting on the wrench's own scale, and what it will then deliver. */
export interface WrenchSetting {
  /** On the wrench's own scale and graduation, in its own unit. */
  readonly setting: number;
  readonly unit: Wrench['scale']['unit'];
  /** The band delivered at that setting with the wrench's deviation, N·m. */
  readonly deliversNm: { readonly low: number; readonly high: number };
  readonly deviationPercent: number;
  readonly verdict: WrenchVerdict;
  /** One sentence saying why. */
  readonly why: string;
}

/** The lowest part of the scale that may be used, as a share of full scale, unless its own scale starts higher. */
export const USABLE_FROM = 0.2;

/**
 * Permissible deviation, percent, where a certificate says no other: by ISO 6789-1:2017 ±6 % up to 10 N·m full scale
 * and ±4 % above; bending beams (type I class A, type II class G) and torque screwdrivers ±6 % at any size.
 */
export function deviationOf({ deviationPercent, kind, scale }: Wrench): number {
  if (deviationPercent !== null) return deviationPercent;
  if (kind === 'beam' || kind === 'screwdriver') return 6;
  return convert(scale.high, scale.unit, 'N·m') <= 10 ? 6 : 4;
}

/** Rounding of a multiple must not lose a graduation to binary arithmetic. */
const DUST = 1e-9;
const marked = (count: number, step: number): number => Number((count * step).toPrecision(9));

/**
 * The setting nearest to the target on a wrench's own graduation, never past an end of what may be used of its scale,
 * and whether what it delivers is acceptable. What is judged is the setting as it can be set: a wrench suits when that
 * lies inside the specified band; its deviation is reported beside it, since almost no wrench keeps both ends of a
 * narrow band.
 */
export function suggestSetting(spec: TorqueSpec, wrench: Wrench): WrenchSetting {
  const { unit, low, high, step } = wrench.scale;
  const deviationPercent = deviationOf(wrench);
  const target = convert(spec.targetNm, 'N·m', unit);
  const usableLow = Math.max(low, USABLE_FROM * high);
  const lowest = marked(Math.ceil(usableLow / step - DUST), step);
  const highest = marked(Math.floor(high / step + DUST), step);
  const rounded = marked(Math.round(target / step), step);
  const setting = Math.max(Math.min(rounded, highest), Math.min(lowest, highest));
  const settingNm = convert(setting, unit, 'N·m');
  const spread = deviationPercent / 100;
  const base = {
    setting,
    unit,
    deviationPercent,
    deliversNm: { low: settingNm * (1 - spread), high: settingNm * (1 + spread) },
  };
  if (rounded < lowest && target < usableLow) {
    return { ...base, verdict: 'below its range', why: `${wrench.name} is true only from ${trim(usableLow)} ${unit}.` };
  }
  if (rounded > highest && target > high)
    return { ...base, verdict: 'above its range', why: `${wrench.name} ends at ${trim(high)} ${unit}.` };
  if (settingNm < spec.lowNm || settingNm > spec.highNm) {
    return {
      ...base,
      verdict: 'rounding leaves the band',
      why: `Its scale goes in steps of ${trim(step)} ${unit}; the nearest is outside ${spec.text}.`,
    };
  }
  return { ...base, verdict: 'suits', why: `Set ${trim(setting)} ${unit}; it delivers ±${deviationPercent} %.` };
}

const trim = (value: number): string => String(Number(value.toPrecision(4)));

/** A wrench with its setting, best first. */
export interface RankedWrench {
  readonly wrench: Wrench;
  readonly setting: WrenchSetting;
  /** Share of the delivered band that lies inside the specified one, 0 to 1. */
  readonly inside: number;
}

const VERDICT_RANK: readonly WrenchVerdict[] = [
  'suits',
  'rounding leaves the band',
  'above its range',
  'below its range',
];

/**
 * Orders what the shop owns for one specification: those that suit first, then by how much of what they deliver
 * lies inside the band, then by the finer step. The order of the input never matters.
 */
export function rankWrenches(spec: TorqueSpec, wrenches: readonly Wrench[]): RankedWrench[] {
  return wrenches
    .map((wrench) => {
      const setting = suggestSetting(spec, wrench);
      return { wrench, setting, inside: overlap(setting.deliversNm, spec) };
    })
    .sort(
      (a, b) =>
        VERDICT_RANK.indexOf(a.setting.verdict) - VERDICT_RANK.indexOf(b.setting.verdict) ||
        b.inside - a.inside ||
        convert(a.wrench.scale.step, a.wrench.scale.unit, 'N·m') -
          convert(b.wrench.scale.step, b.wrench.scale.unit, 'N·m') ||
        a.wrench.id.localeCompare(b.wrench.id),
    );
}

function overlap(delivered: { low: number; high: number }, spec: TorqueSpec): number {
  const width = delivered.high - delivered.low;
  const shared = Math.min(delivered.high, spec.highNm) - Math.max(delivered.low, spec.lowNm);
  return width <= 0 ? 0 : Math.max(0, shared) / width;
}
