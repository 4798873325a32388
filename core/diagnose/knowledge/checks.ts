import { BENCH_CHECKS } from './checksBench.ts';
import { ELECTRICAL_CHECKS } from './checksElectrical.ts';
import { LIVE_CHECKS } from './checksLive.ts';
import { OUTSIDE_CHECKS } from './checksOutside.ts';
import { VISUAL_CHECKS } from './checksVisual.ts';

/** Every check, from quick and outside to slow and inside. */
export const CHECKS = [...VISUAL_CHECKS, ...OUTSIDE_CHECKS, ...LIVE_CHECKS, ...ELECTRICAL_CHECKS, ...BENCH_CHECKS];
