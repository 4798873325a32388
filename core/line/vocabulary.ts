import type { ItemKind, Joint } from '../procedure/index.ts';

/** Numbers as words, as far as fasteners are counted by them. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  no: 0,
  a: 1,
  one: 1,
  single: 1,
  two: 2,
  both: 2,
  pair: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
};

/** What holds other things: counted with them, not listed beside them. */
export const HOLDERS =
  '(?:cap |banjo |flange |wing |shear |push |spring |set )?(?:bolts?|screws?|nuts?|studs?|clips?|clamps?|pins?|fixings?|fasteners?|quarter-turns?|rivets?|ties?)';

/** Kinds by the word that a phrase ends in, the more special first. */
const KINDS: readonly (readonly [ItemKind, RegExp])[] = [
  [
    'unit',
    /\b(?:throttle (?:body|unit|housing|actuator)|tb|iacv?|iac valve|idle (?:air )?(?:control )?(?:valve|actuator)|(?:intake |throttle )?flap|unit)$/,
  ],
  ['fasteners', /^(?:wing |clip |cap |banjo )(?:bolts?|screws?|nuts?)\b/],
  ['fasteners', /\b(?:bolts?|screws?|nuts?|studs?|fixings?|fasteners?|rivets?)$/],
  ['gasket', /\b(?:gaskets?|seals?|o-?rings?)$/],
  ['plug', /\b(?:bungs?|stoppers?|blanking (?:plugs?|caps?))$/],
  ['connector', /\b(?:connectors?|multi-?plugs?|wiring|(?<!spark |glow )plugs?)$/],
  ['clamp', /\b(?:clamps?|clips?|ties?)$/],
  ['cable', /\b(?:cables?|links?|linkages?|rods?|straps?|leads?|earths?|terminals?|negative|positive)$/],
  [
    'coolant-hose',
    /\b(?:coolant|water|heater|cooler|radiator|thermostat)\b.*\b(?:hoses?|pipes?|lines?|tubes?|returns?)$/,
  ],
  ['hose', /\b(?:hoses?|lines?|tubes?|breathers?|(?<!intake |air )pipes?|fuel rail|rail)$/],
  [
    'duct',
    /\b(?:ducts?|trunks?|trunking|snorkel|elbow|plenum|crossover|bellows|boots?|rubbers?|(?:intake|air) pipes?)$/,
  ],
  ['bracket', /\b(?:brackets?|stays?|supports?|braces?|mounts?)$/],
  [
    'cover',
    /\b(?:covers?|lids?|shrouds?|panels?|air ?box|trims?|undertrays?|seats?|tanks?|fairings?|cowls?|scuttle|(?:air )?filter housing|wiper arms?)$/,
  ],
  [
    'other',
    /\b(?:sensors?|meters?|switch(?:es)?|solenoids?|valves?|injectors?|coils?|dashpots?|regulators?|thermostats?|housings?|dampers?)$/,
  ],
];

/** The kind of thing that a phrase in lower case ends in; null where its last words name none. */
export const kindOf = (phrase: string): ItemKind | null => KINDS.find(([, ends]) => ends.test(phrase))?.[0] ?? null;

/** What fasteners hold, by the words round them. */
const JOINTS_BY_WORDS: readonly (readonly [Joint, RegExp])[] = [
  ['fuel', /\b(?:fuel|injectors?|rail)\b/],
  ['coolant', /\b(?:coolant|water|thermostat|radiator|heater|cooler)\b/],
  ['sensor', /\b(?:sensors?|tps|map|maf|meter|switch)\b/],
  [
    'trim',
    /\b(?:covers?|lid|air ?box|trim|fairing|panel|cowl|undertray|duct|shroud|seat|scuttle|clamps?|clips?)\b(?! nuts?\b)/,
  ],
  ['bracket', /\b(?:brackets?|stays?|mounts?|brace|support|straps?|cables?)\b/],
];

/** What the fasteners of a thing hold. @param words the thing's own, in lower case */
export function jointOfWords(words: string, kind: ItemKind): Joint {
  if (kind === 'unit') return 'flange';
  const said = JOINTS_BY_WORDS.find(([, near]) => near.test(words))?.[0];
  if (said !== undefined) return said;
  if (kind === 'coolant-hose') return 'coolant';
  if (kind === 'bracket' || kind === 'cable') return 'bracket';
  return kind === 'cover' || kind === 'duct' || kind === 'clamp' || kind === 'hose' ? 'trim' : 'flange';
}

/** What an opening is closed with, by the verb that says so. */
export const PLUG_OF: Readonly<Record<string, string>> = {
  plugged: 'Bung',
  bunged: 'Bung',
  capped: 'Cap',
  taped: 'Tape',
  clamped: 'Clamp',
  pinched: 'Clamp',
  blocked: 'Bung',
  sealed: 'Bung',
  stuffed: 'Cloth',
};
