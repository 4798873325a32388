import type { Sign } from '../types.ts';
import { ELECTRICAL_CHECKS } from './checksElectrical.ts';
import { LIVE_CHECKS } from './checksLive.ts';
import { BENCH_CHECKS, VISUAL_CHECKS } from './checksVisual.ts';

/** Every check, cheapest kinds first. Minutes and bands without a family figure are shop figures, to be verified. */
export const CHECKS: readonly Sign[] = [...VISUAL_CHECKS, ...ELECTRICAL_CHECKS, ...LIVE_CHECKS, ...BENCH_CHECKS];
