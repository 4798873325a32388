import { CONDITIONS, K_SCATTER, preload, type ThreadCondition } from './preload.ts';
import { threadStrip, type ThreadMaterial, type ThreadStrength } from './strip.ts';
import type { Thread } from './thread.ts';
import type { TorqueSpec } from './types.ts';

/** Ways to save a stripped thread. */
export const REPAIRS = {
  insert: 'Thread insert, same bolt',
  'next-size': 'Next size up, tapped',
  replace: 'Replace the part',
  longer: 'Longer bolt into sound thread',
} as const;
/** The id of a way. */
export type RepairRoute = keyof typeof REPAIRS;

/** One way with what it gives. */
export interface RepairOption {
  readonly route: RepairRoute;
  readonly name: string;
  /** Strip load over the hardest pull with the same torque; null where nothing can be worked out. */
  readonly margin: number | null;
  readonly words: string;
}

/** A wire insert's outer thread: the tap for it is larger by twice the height of its profile, ISO 68-1, mm. */
const insertThread = ({ diameter, pitch, length }: Thread): Thread => ({
  diameter: diameter + 2 * 0.649519 * pitch,
  pitch,
  length,
});

const NEXT: readonly (readonly [number, number])[] = [
  [3, 0.5],
  [4, 0.7],
  [5, 0.8],
  [6, 1],
  [8, 1.25],
  [10, 1.5],
  [12, 1.75],
];

/**
 * What can be done about a stripped thread, strongest first, worked out for the same pull. A next size up keeps the
 * pull, so its torque rises with the diameter.
 * @param spec null when no torque is called for: margins are then null
 */
export function repairRoutes(
  spec: TorqueSpec | null,
  hole: {
    thread: Thread;
    engagement: number;
    material: ThreadMaterial | ThreadStrength;
    condition: ThreadCondition;
  },
): RepairOption[] {
  const { thread, engagement, material, condition } = hole;
  const pull =
    spec === null
      ? null
      : preload({ torque: spec.highNm, diameter: thread.diameter, k: CONDITIONS[condition].k * (1 - K_SCATTER) })
          .newtons;
  const against = (tapped: Thread, length: number): number | null =>
    pull === null ? null : threadStrip({ thread: tapped, engagement: length, material }).stripLoadN / pull;
  const insert = against(insertThread(thread), engagement);
  const bigger = NEXT.find(([diameter]) => diameter > thread.diameter);
  const routes: RepairOption[] = [
    {
      route: 'insert',
      name: REPAIRS.insert,
      margin: insert,
      words:
        'Drill, tap, wind the insert in below the face, break the tang off and count it out. Same bolt, same figure.',
    },
  ];
  if (bigger !== undefined) {
    const [diameter, pitch] = bigger;
    const tapped: Thread = { diameter, pitch, length: thread.length };
    const figure =
      spec === null
        ? ''
        : ` The same pull needs ${Number(((spec.targetNm * diameter) / thread.diameter).toPrecision(2))} N·m.`;
    routes.push({
      route: 'next-size',
      name: `${REPAIRS['next-size']}: M${diameter}`,
      margin: against(tapped, engagement),
      words: `Open the flange hole too; look at the wall that is left.${figure}`,
    });
  }
  routes.push({
    route: 'longer',
    name: REPAIRS.longer,
    margin: against(thread, engagement * 0.5),
    words: 'Only where sound thread lies deeper: measure with a wire, keep two turns clear of the bottom.',
  });
  routes.sort((a, b) => (b.margin ?? 0) - (a.margin ?? 0));
  return [
    ...routes,
    { route: 'replace', name: REPAIRS.replace, margin: null, words: 'When the boss is cracked or the wall is thin.' },
  ];
}
