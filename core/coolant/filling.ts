import type { Glycol } from './glycol.ts';
import type { Inhibitor } from './inhibitor.ts';

/** What a cooling system holds: how much, of what, how strong, and where it is bled. */
export interface CoolantFilling {
  readonly capacityL: number;
  readonly glycol: Glycol;
  /** Share by volume, 0 to 1. */
  readonly concentration: number;
  readonly bleedPoint: string;
  /** Inhibitor family of what is in it; absent where it is not known. */
  readonly inhibitor?: Inhibitor | undefined;
}
