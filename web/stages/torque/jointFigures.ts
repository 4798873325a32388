import type { FastenerGroup } from '../../../core/procedure/index.ts';
import {
  CONDITIONS,
  parseThread,
  preload,
  proofFraction,
  type RepairOption,
  repairRoutes,
  STRENGTHS,
  stripMargin,
} from '../../../core/torque/index.ts';

/** What a group's own data say of its pull and its threads, in words. */
export interface JointFigures {
  readonly rows: readonly { readonly label: string; readonly value: string; readonly tone: 'plain' | 'good' | 'bad' }[];
  readonly warning: string;
  readonly repairs: readonly RepairOption[];
}

const kilonewtons = (newtons: number): string => `${Number((newtons / 1000).toPrecision(2))} kN`;

/** Preload, share of proof load and margin against stripping; empty where the thread or the hole is not known. */
export function jointFigures(group: FastenerGroup): JointFigures {
  const thread = parseThread(group.thread);
  const { spec } = group;
  if (thread === null) return { rows: [], warning: '', repairs: [] };
  const condition = group.condition ?? 'dry';
  const hole = {
    thread,
    engagement: group.hole?.engagementMm ?? thread.diameter * 1.5,
    material: group.hole?.material ?? 'die-cast-aluminium',
    condition,
  } as const;
  const repairs = repairRoutes(spec, hole);
  if (spec === null) return { rows: [], warning: '', repairs };
  const pull = preload({ torque: spec.targetNm, diameter: thread.diameter, k: CONDITIONS[condition].k });
  const rows: JointFigures['rows'][number][] = [
    { label: `Pull, ${CONDITIONS[condition].name}`, value: `${kilonewtons(pull.newtons)}, ±30 %`, tone: 'plain' },
  ];
  if (group.grade !== undefined) {
    const share = proofFraction(pull.newtons, thread, group.grade);
    rows.push({
      label: `Of proof, ${group.grade}`,
      value: `${Math.round(share * 100)} %`,
      tone: share > 0.9 ? 'bad' : 'plain',
    });
  }
  if (group.hole === undefined) return { rows, warning: '', repairs };
  const margin = stripMargin(spec, hole);
  rows.push({
    label: `Thread in ${STRENGTHS[group.hole.material].name}`,
    value: `${margin.margin.toFixed(1)} ×`,
    tone: margin.verdict === 'holds' ? 'good' : 'bad',
  });
  return { rows, warning: margin.verdict === 'holds' ? '' : margin.words, repairs };
}
