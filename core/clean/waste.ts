/** What is left over from cleaning and must not go into the ordinary bin or the drain. */
export const WASTE_KINDS = {
  rags: {
    name: 'Solvent rags',
    bin: 'closed metal bin',
    into: 'closed metal bin, emptied daily: they can light by themselves',
  },
  solvent: {
    name: 'Used solvent',
    bin: 'solvent drum',
    into: 'solvent drum, by kind: chlorinated never with the others',
  },
  bath: { name: 'Spent bath', bin: 'labelled canister', into: 'labelled canister, acid and lye apart' },
  cans: { name: 'Empty cans', bin: 'pressure-can crate', into: 'pressure-can crate, not pierced' },
  coolant: { name: 'Old coolant', bin: 'coolant drum', into: 'coolant drum: poisonous, sweet, kept from animals' },
  oil: { name: 'Oily residue', bin: 'waste-oil drum', into: 'waste-oil drum' },
} as const;
/** The id of a kind of waste. */
export type WasteKind = keyof typeof WASTE_KINDS;

/** What a job has used, as far as waste follows from it. */
export interface WasteInput {
  readonly sprayedGrams: number;
  readonly passes: readonly string[];
  readonly discardedCoolantL: number;
  readonly emptiedCans: number;
  readonly penetratingOil: boolean;
}

/** What waste there must be, with why. What has been taken away already is for the caller to leave out. */
export function wasteOf(input: WasteInput): { readonly kind: WasteKind; readonly why: string }[] {
  const found: { kind: WasteKind; why: string }[] = [];
  if (input.sprayedGrams > 0)
    found.push({ kind: 'rags', why: `${Math.round(input.sprayedGrams)} g of cleaner went onto cloth and parts` });
  if (input.passes.includes('bath')) found.push({ kind: 'bath', why: 'a bath was made up' });
  if (input.emptiedCans > 0) found.push({ kind: 'cans', why: `${input.emptiedCans} emptied` });
  if (input.discardedCoolantL > 0)
    found.push({ kind: 'coolant', why: `${input.discardedCoolantL.toFixed(2)} L was discarded` });
  if (input.penetratingOil) found.push({ kind: 'oil', why: 'screws were oiled' });
  return found;
}
