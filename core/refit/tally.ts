import type {
  TallyEndStep,
  TallyFluid,
  TallyInput,
  TallyItem,
  TallyObject,
  TallyOpening,
  TallySearch,
} from './state.ts';

/** What is true of this vehicle right now. Each figure carries its list. */
export interface Tally {
  readonly itemsOff: readonly TallyItem[];
  /** Steps of the way back that are still to be done. */
  readonly stepsToDo: readonly TallyItem[];
  readonly openingsOpen: readonly TallyOpening[];
  readonly openingsPlugged: readonly TallyOpening[];
  /** Rags, ties and hooks that are still in. */
  readonly objectsIn: readonly TallyObject[];
  readonly fastenersOut: number;
  readonly fastenersBack: number;
  /** Groups whose count back differs from the count out. */
  readonly countsThatDiffer: readonly TallyItem[];
  /** Groups that are back but not all at torque, with how many are missing. */
  readonly torqueOutstanding: readonly { readonly item: TallyItem; readonly missing: number }[];
  /** Groups that call for a figure which nobody has given. */
  readonly figuresWanted: readonly TallyItem[];
  /** Units that are back while nothing says what holds them down. */
  readonly unitsLoose: readonly TallyItem[];
  readonly boltsAtTorque: number;
  readonly boltsToTorque: number;
  /** Single-use parts that went back old. */
  readonly reusedSingleUse: readonly TallyItem[];
  /** Connectors that are back but whose lock was not confirmed. */
  readonly connectorsUnconfirmed: readonly TallyItem[];
  /** Groups of which some stay in to hold the weight. */
  readonly stayingIn: readonly TallyItem[];
  /** Groups with a stripped thread that is not repaired. */
  readonly threadsStripped: readonly TallyItem[];
  /** Items that are back with a measure or mark not set again. */
  readonly notRestored: readonly TallyItem[];
  /** Dropped and not found. */
  readonly searching: readonly TallySearch[];
  /** Not yet undone: the battery, the tray. */
  readonly endSteps: readonly TallyEndStep[];
  readonly fluidsWanted: readonly TallyFluid[];
  readonly openQuestions: readonly string[];
}

const isBack = ({ state }: TallyItem): boolean => state === 'refitted' || state === 'renewed';

/** Counts everything once, in one walk over the items. Pure; about a microsecond an item. */
export function tally(job: TallyInput): Tally {
  const off: TallyItem[] = [];
  const toDo: TallyItem[] = [];
  const differ: TallyItem[] = [];
  const outstanding: { item: TallyItem; missing: number }[] = [];
  const reused: TallyItem[] = [];
  const unconfirmed: TallyItem[] = [];
  const staying: TallyItem[] = [];
  const stripped: TallyItem[] = [];
  const notRestored: TallyItem[] = [];
  const figures: TallyItem[] = [];
  const looseUnits: TallyItem[] = [];
  let out = 0;
  let back = 0;
  let atTorque = 0;
  let toTorque = 0;
  for (const item of job.items) {
    if (item.state === 'off') (item.step === true ? toDo : off).push(item);
    if (item.singleUse && item.state === 'refitted') reused.push(item);
    if (item.kind === 'connector' && isBack(item) && !item.confirmed) unconfirmed.push(item);
    if (item.toRestore.length > 0 && isBack(item)) notRestored.push(item);
    if (item.loose === true) looseUnits.push(item);
    const { fasteners } = item;
    if (fasteners === null) continue;
    if (fasteners.stripped > 0) stripped.push(item);
    if (item.state === 'on') continue;
    if (fasteners.stayingIn > 0 && item.state === 'off') staying.push(item);
    const countedOut = fasteners.countedOut ?? fasteners.count;
    out += countedOut;
    if (isBack(item)) {
      const countedBack = fasteners.countedBack ?? countedOut;
      back += countedBack;
      if (countedBack !== countedOut) differ.push(item);
    }
    if (fasteners.figureWanted) figures.push(item);
    if (!fasteners.torqued || item.state === 'left-off') continue;
    toTorque += fasteners.count;
    atTorque += fasteners.atTorque;
    const missing = fasteners.count - fasteners.atTorque - fasteners.byFeel;
    if (isBack(item) && missing > 0) outstanding.push({ item, missing });
  }
  return {
    itemsOff: off,
    stepsToDo: toDo,
    openingsOpen: job.openings.filter(({ state }) => state === 'open'),
    openingsPlugged: job.openings.filter(({ state }) => state === 'plugged'),
    objectsIn: job.objects.filter((object) => !object.out),
    fastenersOut: out,
    fastenersBack: back,
    countsThatDiffer: differ,
    torqueOutstanding: outstanding,
    figuresWanted: figures,
    unitsLoose: looseUnits,
    boltsAtTorque: atTorque,
    boltsToTorque: toTorque,
    reusedSingleUse: reused,
    connectorsUnconfirmed: unconfirmed,
    stayingIn: staying,
    threadsStripped: stripped,
    notRestored,
    searching: job.searches.filter(({ outcome }) => outcome === null),
    endSteps: job.endSteps.filter(({ done }) => !done),
    fluidsWanted: job.fluidsWanted,
    openQuestions: job.openQuestions,
  };
}
