/** What is done first when something went wrong: two short lines, and no more. */
export interface MishapKind {
  readonly name: string;
  /** What to do, and when to call for help. */
  readonly now: readonly [string, string];
}

const CALL = 'Call for help at once if it is more than slight; the product’s safety sheet says what else.';

/** Kinds of mishap. Short first aid that defers to the safety sheet and to those who know. Ids are stored: never change one. */
export const MISHAPS = {
  eye: {
    name: 'Something in the eye',
    now: [
      'Rinse with clean water now, lids held open, and keep on for a quarter of an hour.',
      'Follow the product’s safety sheet; call for help at once if it hurts or sight is blurred.',
    ],
  },
  skin: {
    name: 'Solvent, acid or lye on the skin',
    now: ['Off with wet clothes; rinse with plenty of water.', CALL],
  },
  breathed: {
    name: 'Dizzy from vapour',
    now: ['Out into fresh air, and do not stay alone.', CALL],
  },
  burn: {
    name: 'A burn or a scald',
    now: ['Cool it with running water for a quarter of an hour; nothing on it.', CALL],
  },
  cut: { name: 'A cut or a crush', now: ['Press a clean dressing on it and hold it up.', CALL] },
  fire: {
    name: 'Something caught fire',
    now: [
      'Everybody away; call the fire service. Put it out only if it is small and the way out is behind you.',
      'Air the bay before anybody goes back in.',
    ],
  },
  fuel: {
    name: 'Fuel ran out',
    now: ['No spark, no switch; air moving, soak it up.', 'Nothing is started before it is dry and its smell is gone.'],
  },
  'unit-dropped': {
    name: 'A unit was dropped',
    now: [
      'Do not fit it unlooked at: plate, shaft, plug and flange first.',
      'What cannot be looked into is not to be trusted: compare it with another, or renew it.',
    ],
  },
  'coolant-belt': {
    name: 'Coolant on a belt or a connector',
    now: ['Engine off. Rinse the belt with water and dry it; blow the connector dry.', 'Look at both again warm.'],
  },
  'diesel-sprayed': {
    name: 'Sprayed into a running diesel',
    now: [
      'Stand back from the intake. If it runs away: stop its air with a board, never with a hand; key off.',
      'Do not start it again before oil, intake and turbine were looked at.',
    ],
  },
  'started-itself': {
    name: 'It started by itself',
    now: [
      'Hands out. Switch it off by the maker’s way, key out of its reach, battery negative off.',
      'Nobody goes on before it is known why.',
    ],
  },
  other: { name: 'Something else', now: ['Make it safe first: key off, nobody near what moves.', CALL] },
} as const satisfies Record<string, MishapKind>;

/** The id of a kind of mishap. */
export type MishapId = keyof typeof MISHAPS;
