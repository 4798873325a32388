/** A body of coolant: litres and the share of antifreeze by volume. */
export interface CoolantState {
  readonly volume: number;
  readonly concentration: number;
}

/** What was done to it. Litres; shares 0 to 1. */
export interface CoolantChange {
  /** Left the system, at the system's own concentration. */
  readonly drained: number;
  /** Of that, poured back. */
  readonly returned: number;
  readonly added: number;
  readonly addedConcentration: number;
}

/**
 * The volume and concentration after draining, returning and adding. Nothing is created or lost: volumes and the
 * volume of antifreeze add up (contraction on mixing, under 1 %, is neglected).
 * @throws RangeError for a negative volume, a share outside 0 to 1, more drained than there was, or more returned than drained
 */
export function mix(state: CoolantState, change: CoolantChange): CoolantState {
  const { drained, returned, added, addedConcentration } = change;
  for (const [name, value] of Object.entries({ volume: state.volume, drained, returned, added })) {
    if (!(value >= 0)) throw new RangeError(`Expected zero litres or more for ${name}, got ${value}.`);
  }
  for (const share of [state.concentration, addedConcentration]) {
    if (!(share >= 0 && share <= 1)) throw new RangeError(`Expected a share from 0 to 1, got ${share}.`);
  }
  if (drained > state.volume + 1e-9)
    throw new RangeError(`Expected at most ${state.volume} L drained, got ${drained}.`);
  if (returned > drained + 1e-9) throw new RangeError(`Expected at most ${drained} L returned, got ${returned}.`);
  const kept = state.volume - drained + returned;
  const volume = kept + added;
  const antifreeze = kept * state.concentration + added * addedConcentration;
  return { volume, concentration: volume === 0 ? state.concentration : antifreeze / volume };
}
