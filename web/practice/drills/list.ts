/** Five minutes each. The ids are those under which they are kept. */
export const DRILLS = {
  'way-back': { name: 'The way back', does: 'Put a shuffled flange in the order in which it goes back on.' },
  relearn: { name: 'Relearn by pedal and key', does: 'Press and hold by the recipe; the timing is judged.' },
  trace: { name: 'Read a trace', does: 'Hunting, a drop-out, slow settling, or nothing.' },
  look: { name: 'Judge what is seen', does: 'Deposit and the light round the plate, at every grade.' },
  wrench: { name: 'Set a wrench', does: 'A figure in one unit, a scale in another.' },
  'still-in': { name: 'What is still in', does: 'Before the key is turned: find what nobody took out.' },
  mix: { name: 'Mix and top up', does: 'Coolant, water and what is in there already.' },
} as const;
export type DrillId = keyof typeof DRILLS;
export const DRILL_IDS = Object.keys(DRILLS) as readonly DrillId[];
export const isDrill = (id: string): id is DrillId => id in DRILLS;
