/** The parts of a job that the tally counts. The job's own types satisfy these. */

/** Where an item is in its round trip. */
export type ItemState = 'on' | 'off' | 'refitted' | 'renewed' | 'left-off';

export interface TallyItem {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly state: ItemState;
  /** The connector's lock was felt to close. Only read for connectors. */
  readonly confirmed: boolean;
  /** Must be replaced by a new one. */
  readonly singleUse: boolean;
  readonly fasteners: TallyFasteners | null;
  /** A unit that is back while nothing says what holds it down. */
  readonly loose?: boolean;
  /** Measures and marks taken before it came off that were not set again, in words. */
  readonly toRestore: readonly string[];
  /** Left connected and only tied aside. */
  readonly aside?: boolean | undefined;
  /** A step of the way back: *off* while it is to be done. */
  readonly step?: boolean | undefined;
}

export interface TallyFasteners {
  readonly count: number;
  /** True when a torque is called for. */
  readonly torqued: boolean;
  /** Bolts that reached their final pass within the band of a figure. */
  readonly atTorque: number;
  /** Bolts tightened by feel, as a stated choice. */
  readonly byFeel: number;
  /** A figure is called for, nobody has one, and nobody chose to go by feel. */
  readonly figureWanted: boolean;
  /** Counted out at strip, null when not counted. */
  readonly countedOut: number | null;
  /** Counted back, null when not counted. */
  readonly countedBack: number | null;
  /** Still in, to hold the weight. */
  readonly stayingIn: number;
  /** Threads that stripped and are not repaired. */
  readonly stripped: number;
}

/** An opening: *whole* until strip exposes it, *closed* once what closes it is back. */
export interface TallyOpening {
  readonly id: string;
  readonly name: string;
  readonly state: 'whole' | 'open' | 'plugged' | 'closed';
  readonly plug: string | null;
}

/** Something that is in or on the engine and must come out: a rag, a tie, a hook. */
export interface TallyObject {
  readonly id: string;
  readonly what: string;
  readonly where: string;
  readonly out: boolean;
}

/** Something that was dropped and is looked for. */
export interface TallySearch {
  readonly id: string;
  readonly what: string;
  readonly where: string;
  /** Null while it is looked for. */
  readonly outcome: 'found' | 'accepted' | null;
}

/** Something done before the work that must be undone before the engine starts: the battery, the tray. */
export interface TallyEndStep {
  readonly id: string;
  readonly words: string;
  readonly done: boolean;
}

/** Coolant that is not back, a bleed that was broken off, an outboard without cooling water. */
export interface TallyFluid {
  readonly code: 'coolant' | 'bleed' | 'cooling-water';
  readonly id: string;
  readonly words: string;
}

export interface TallyInput {
  readonly items: readonly TallyItem[];
  readonly openings: readonly TallyOpening[];
  readonly objects: readonly TallyObject[];
  readonly searches: readonly TallySearch[];
  readonly endSteps: readonly TallyEndStep[];
  readonly fluidsWanted: readonly TallyFluid[];
  /** Coolant that went and was not accounted for, in words, or null. */
  readonly openQuestions: readonly string[];
}
