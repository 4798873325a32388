import type { Quantity } from '../quantity/index.ts';

/** What a fastener should be tightened to, as printed in its source. */
export interface TorqueSpec {
  /** As written: `9 Nm`, `8–10 Nm`. */
  readonly text: string;
  /** The band that is accepted, N·m, both ends included. */
  readonly lowNm: number;
  readonly highNm: number;
  /** The figure to aim for, N·m. */
  readonly targetNm: number;
  /** A turn after the torque, degrees, or null. */
  readonly angleDeg: number | null;
  /** Where it comes from; null is shown as *shop figure, verify*. */
  readonly source: string | null;
}

/** A torque wrench that the shop owns. */
export interface Wrench {
  readonly id: string;
  readonly name: string;
  /** How it works, where its deviation depends on that; left out for one that clicks, or has a dial or a display. */
  readonly kind?: 'beam' | 'screwdriver' | undefined;
  /** Full scale and the step of its own scale, in its own unit. */
  readonly scale: {
    readonly unit: 'N·m' | 'in·lb' | 'ft·lb' | 'kgf·cm' | 'kgf·m';
    readonly low: number;
    readonly high: number;
    readonly step: number;
  };
  /** Permissible deviation in percent from its certificate, or null to go by ISO 6789-1. */
  readonly deviationPercent: number | null;
  /** ISO date of the last calibration, or null when it has none. */
  readonly calibratedOn: string | null;
}

/** Where a bolt sits on its flange, millimetres from any origin; y grows downwards as on the screen. */
export interface BoltPlace {
  readonly id: string;
  readonly x: number;
  readonly y: number;
}

/** How a bolt was tightened. */
export type TightenMethod = 'wrench' | 'by-feel' | 'angle';

/** A recorded torque: as entered. */
export interface AchievedTorque {
  readonly torque: Quantity;
}
