import { type JobItem, nextBolt } from '../../../core/job/index.ts';
import {
  passes,
  type RankedWrench,
  rankWrenches,
  tighteningOrder,
  type TorqueSpec,
  type Wrench,
} from '../../../core/torque/index.ts';

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
  readonly ranked: readonly RankedWrench[];
  readonly chosen: RankedWrench | null;
  /** What the entry is filled with: the setting on the wrench's own scale. */
  readonly entry: string;
}

/** The order in which a group is tightened, by bolt id. */
export const orderOf = (item: JobItem): string[] => {
  const group = item.fasteners;
  if (group === null) return [];
  return group.bolts.length > 0
    ? tighteningOrder(group.bolts)
    : Array.from({ length: group.count }, (_, index) => String(index + 1));
};

/** The next bolt with its pass, wrench and setting; null when the group is done or calls for no torque. */
export function torqueStep(item: JobItem, wrenches: readonly Wrench[], preferred: string): TorqueStep | null {
  const group = item.fasteners;
  const next = nextBolt(item);
  if (group === null || group.spec === null || next === null) return null;
  const { spec } = group;
  const share = group.fractions[next.pass - 1] ?? 1;
  const scaled = { ...spec, targetNm: spec.targetNm * share, lowNm: spec.lowNm * share, highNm: spec.highNm * share };
  const ranked = rankWrenches(scaled, wrenches);
  const chosen = ranked.find(({ wrench }) => wrench.id === preferred) ?? ranked[0] ?? null;
  const order = orderOf(item);
  return {
    boltId: next.boltId,
    number: order.indexOf(next.boltId) + 1,
    of: order.length,
    label: group.bolts.find(({ id }) => id === next.boltId)?.label ?? '',
    pass: next.pass,
    passes: group.fractions.length,
    passWords: passes(spec, { fractions: group.fractions })[next.pass]?.words ?? '',
    spec: scaled,
    ranked,
    chosen,
    entry: chosen === null ? spec.text : `${chosen.setting.setting} ${chosen.setting.unit}`,
  };
}
