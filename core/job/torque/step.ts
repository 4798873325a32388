import {
  passes,
  type RankedWrench,
  rankWrenches,
  type TorqueSpec,
  withAdapter,
  type Wrench,
} from '../../torque/index.ts';
import type { JobItem } from '../items/state.ts';
import type { AdapterOn } from './tightening.ts';
import { boltOrder, groupPasses, nextBolt } from './bolts.ts';

/** What to do with a torque wrench right now. */
export interface TorqueStep {
  readonly boltId: string;
  /** 1-based place in the tightening order. */
  readonly number: number;
  readonly of: number;
  readonly label: string;
  readonly pass: number;
  readonly passes: number;
  readonly passWords: string;
  readonly spec: TorqueSpec;
  /** Degrees to turn when this pass goes by angle, else null. */
  readonly angleDeg: number | null;
  readonly ranked: readonly RankedWrench[];
  readonly chosen: RankedWrench | null;
  /** What the entry is filled with: the setting on the wrench's own scale, or the angle. */
  readonly entry: string;
}

/** An adapter in words. */
export const adapterWords = ({ lengthMm, leverMm, angleDeg }: AdapterOn): string =>
  `${lengthMm} mm adapter at ${angleDeg}° on a ${leverMm} mm lever`;

/** The share of a bolt's torque that the wrench shows with an adapter on; 1 without one. */
const shownShare = (adapter: AdapterOn | null): number =>
  adapter === null
    ? 1
    : withAdapter({
        target: 1,
        leverLength: adapter.leverMm,
        adapterLength: adapter.lengthMm,
        angle: adapter.angleDeg,
      });

const scaled = (spec: TorqueSpec, share: number): TorqueSpec => ({
  ...spec,
  targetNm: spec.targetNm * share,
  lowNm: spec.lowNm * share,
  highNm: spec.highNm * share,
});

/** The next bolt with its pass, wrench and setting; null when the group is done or calls for no torque. */
export function torqueStep(
  item: JobItem,
  wrenches: readonly Wrench[],
  preferred: string,
  adapter: AdapterOn | null = null,
): TorqueStep | null {
  const group = item.fasteners;
  const next = nextBolt(item);
  if (group === null || group.spec === null || next === null) return null;
  const byAngle = next.pass > group.fractions.length;
  const spec = scaled(group.spec, byAngle ? 1 : (group.fractions[next.pass - 1] ?? 1));
  // With an adapter the wrench is set lower or higher by the same share over the whole band.
  const ranked = rankWrenches(scaled(spec, shownShare(adapter)), wrenches);
  const chosen = ranked.find(({ wrench }) => wrench.id === preferred) ?? ranked[0] ?? null;
  const order = boltOrder(item);
  return {
    boltId: next.boltId,
    number: order.indexOf(next.boltId) + 1,
    of: order.length,
    label: group.bolts.find(({ id }) => id === next.boltId)?.label ?? '',
    pass: next.pass,
    passes: groupPasses(item),
    passWords: passes(group.spec, { fractions: group.fractions })[next.pass]?.words ?? '',
    spec,
    angleDeg: byAngle ? group.spec.angleDeg : null,
    ranked,
    chosen,
    entry: byAngle
      ? `${group.spec.angleDeg}°`
      : chosen === null
        ? spec.text
        : `${chosen.setting.setting} ${chosen.setting.unit}`,
  };
}
