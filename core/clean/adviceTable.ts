import type { Advice, SchoolView, Verdict } from './advise.ts';
import { type Substance, SURFACES, type Surface } from './substances.ts';

type Line = readonly [Verdict, readonly Surface[], string, ...SchoolView[]];
const view = (school: string, holds: string): SchoolView => ({ school, holds });

const RUBBERS: readonly Surface[] = ['nbr', 'fkm', 'epdm', 'silicone-rubber'];
const INSIDE: readonly Surface[] = ['shaft-bearing', 'motor-gears', 'position-sensor'];
const METALS: readonly Surface[] = ['bare-aluminium', 'brass-plate', 'zinc-steel', 'anodised-aluminium'];
const INERT: readonly Surface[] = ['pa66', 'gasket-face'];

/** Every substance on every surface. Shop knowledge gathered by kind of solvent; no maker's statement. */
const LINES: Readonly<Record<Substance, readonly Line[]>> = {
  'throttle-cleaner': [
    ['use', METALS, 'made for it: takes oil and soot, leaves no film'],
    [
      'with care',
      ['coated-bore'],
      'the coating stands it, rubbing does not: soft cloth, no long soak',
      view('nearly-dry', 'a damp cloth is enough'),
      view('throttle-cleaner', 'a short spray, wiped at once'),
    ],
    ['with care', ['pa66'], 'short contact is harmless; long soaking draws into the plastic'],
    ['with care', INSIDE, 'a damp cloth outside only'],
    ['with care', ['nbr', 'fkm'], 'swells while wet and comes back; do not leave it in'],
    ['with care', ['epdm', 'silicone-rubber'], 'stands acetone for minutes, not the oil that comes with it'],
    ['never', ['hot-film'], 'leaves a residue that shifts the reading'],
    ['use', ['gasket-face'], 'dries without a film'],
  ],
  'carburettor-cleaner': [
    [
      'use',
      ['bare-aluminium', 'brass-plate', 'zinc-steel'],
      'fast on lacquer and coke',
      view('strong', 'bare metal can take it'),
      view('throttle-cleaner', 'not worth the risk next to coatings and seals'),
    ],
    ['never', ['coated-bore'], 'takes the coating off, and the closed gap with it'],
    ['with care', ['anodised-aluminium'], 'the layer stands it, dye and sealing do not'],
    ['never', ['pa66'], 'softens and crazes it under stress'],
    ['never', RUBBERS, 'swells within minutes and does not come back'],
    ['never', INSIDE, 'takes grease, glue and track'],
    ['never', ['hot-film'], 'leaves a residue that shifts the reading'],
    ['with care', ['gasket-face'], 'wipe off at once: it creeps under what is still glued'],
  ],
  'brake-cleaner': [
    ['use', METALS, 'degreases and dries; weak on lacquer'],
    ['with care', ['coated-bore'], 'dries the lubricating film off: a drop of oil on the edge after'],
    ['with care', ['pa66'], 'short contact only'],
    ['with care', ['fkm'], 'stands it for minutes'],
    ['never', ['nbr', 'epdm', 'silicone-rubber'], 'draws out the softener; the rubber hardens and cracks'],
    ['never', ['shaft-bearing', 'motor-gears'], 'washes the grease out'],
    ['never', ['position-sensor'], 'lifts the track and its glue'],
    ['never', ['hot-film'], 'too strong a jet and the wrong residue'],
    ['use', ['gasket-face'], 'dries without a film'],
  ],
  'brake-cleaner-chlorinated': [
    [
      'with care',
      METALS,
      'works, but never near heat, welding or a warm engine: it makes poison gas; forbidden in many places',
    ],
    ['never', ['coated-bore'], 'attacks the coating'],
    ['never', ['pa66'], 'stress cracks'],
    ['never', RUBBERS, 'swells and leaches at once'],
    ['never', INSIDE, 'dissolves varnish, glue and grease'],
    ['never', ['hot-film'], 'destroys the film’s sealing'],
    ['with care', ['gasket-face'], 'cold only, and let it air'],
  ],
  'air-mass-cleaner': [
    ['use', METALS, 'harmless, weak and dear: better kept for the sensor'],
    ['use', ['coated-bore'], 'mild enough, weak on lacquer'],
    ['use', INERT, 'harmless'],
    ['with care', ['nbr', 'fkm', 'epdm', 'silicone-rubber'], 'swells a little while wet'],
    ['with care', INSIDE, 'outside only'],
    ['use', ['hot-film'], 'made for it: spray from a hand’s width, touch nothing, let it dry'],
  ],
  'contact-cleaner': [
    ['use', METALS, 'harmless; does not dissolve soot'],
    ['use', ['coated-bore'], 'harmless; does not dissolve soot'],
    ['use', INERT, 'harmless'],
    ['use', ['fkm', 'epdm', 'silicone-rubber'], 'harmless'],
    ['with care', ['nbr'], 'dries it out if done often'],
    ['with care', ['position-sensor'], 'pins and plug only, unplugged; never under the cover'],
    ['with care', ['shaft-bearing', 'motor-gears'], 'plug side only'],
    ['never', ['hot-film'], 'some leave a film of oil'],
  ],
  isopropyl: [
    ['use', METALS, 'mild: slow on lacquer, leaves nothing', view('mild', 'patience and cloth do the rest')],
    ['use', ['coated-bore'], 'the mildest that still works', view('nearly-dry', 'on a cloth, not poured')],
    ['use', INERT, 'harmless'],
    ['use', ['fkm', 'epdm', 'silicone-rubber'], 'harmless'],
    ['with care', ['nbr'], 'wipe, do not soak'],
    ['with care', INSIDE, 'outside and pins, on a cloth'],
    ['with care', ['hot-film'], 'drip only, no cotton bud, and let it dry a quarter of an hour'],
  ],
  'injector-cleaner': [
    ['use', METALS, 'made for coke and lacquer, works slowly warm'],
    ['with care', ['coated-bore'], 'wipe after, it stays oily'],
    ['with care', ['pa66'], 'short contact'],
    ['with care', ['fkm'], 'fuel seals stand it'],
    ['with care', ['nbr'], 'for hours, not overnight'],
    ['never', ['epdm', 'silicone-rubber'], 'fuel carrier swells it'],
    ['never', INSIDE, 'oily carrier stays inside'],
    ['never', ['hot-film'], 'leaves a film'],
    ['with care', ['gasket-face'], 'degrease after'],
  ],
  'alkaline-detergent': [
    [
      'with care',
      ['bare-aluminium'],
      'strong lye blackens aluminium: mild, lukewarm, ten minutes, rinse',
      view('bath', 'a fully stripped body comes out cleanest'),
      view('throttle-cleaner', 'water in a bearing is worse than soot on a bore'),
    ],
    ['never', ['coated-bore'], 'lifts the coating at its edge'],
    ['with care', ['brass-plate'], 'dulls it'],
    ['never', ['zinc-steel'], 'strips the zinc'],
    ['never', ['anodised-aluminium'], 'dissolves the layer'],
    ['use', ['pa66'], 'harmless, rinse well'],
    ['use', ['epdm', 'silicone-rubber'], 'harmless'],
    ['with care', ['nbr', 'fkm'], 'strong lye ages it: rinse at once'],
    ['never', INSIDE, 'water and salts stay inside'],
    ['never', ['hot-film'], 'leaves salts'],
    ['with care', ['gasket-face'], 'rinse and dry, else salts creep'],
  ],
  'oxalic-acid-bath': [
    [
      'with care',
      ['bare-aluminium'],
      'takes oxide and stain; short, weak and watched, rinse with soda',
      view('bath', 'for a fully stripped cable body only'),
      view('throttle-cleaner', 'an etched face leaks'),
    ],
    ['never', ['coated-bore'], 'gets under the coating'],
    ['with care', ['brass-plate'], 'turns pink if left'],
    ['never', ['zinc-steel'], 'strips the zinc'],
    ['never', ['anodised-aluminium'], 'dissolves the layer'],
    ['never', ['pa66'], 'acid breaks polyamide'],
    ['with care', RUBBERS, 'take them out first'],
    ['never', INSIDE, 'acid stays inside and eats on'],
    ['never', ['hot-film'], 'leaves salts'],
    ['with care', ['gasket-face'], 'an etched face leaks: keep it short'],
  ],
  'penetrating-oil': [
    ['use', METALS, 'for seized screws; wipe off after'],
    ['with care', ['coated-bore'], 'keep it off: it burns to lacquer'],
    ['with care', ['pa66'], 'wipe off: screws in plastic inserts come loose later'],
    ['with care', ['fkm'], 'wipe off'],
    ['never', ['nbr', 'epdm', 'silicone-rubber'], 'swells it; days of waiting make it worse'],
    ['never', INSIDE, 'thins the grease and carries dirt in'],
    ['never', ['hot-film'], 'burns on'],
    ['never', ['gasket-face'], 'oil on the face makes a new gasket creep'],
  ],
  'silicone-grease': [
    ['with care', METALS, 'only where something slides; keep it out of the air path'],
    ['never', ['coated-bore'], 'collects dust and burns to glass'],
    ['use', ['pa66'], 'harmless'],
    ['with care', ['shaft-bearing'], 'seal lip only'],
    ['use', ['nbr', 'fkm', 'epdm'], 'suits it: a thin film on the ring'],
    ['never', ['silicone-rubber'], 'silicone swells silicone'],
    ['never', ['motor-gears'], 'not a gear grease, and creeps onto brushes'],
    ['never', ['position-sensor'], 'creeps onto the track and insulates it'],
    ['never', ['hot-film'], 'burns to glass on the film'],
    ['never', ['gasket-face'], 'nothing seals on it again'],
  ],
  'lithium-grease': [
    ['use', ['bare-aluminium', 'brass-plate', 'zinc-steel', 'anodised-aluminium'], 'linkage and cable ends'],
    ['never', ['coated-bore'], 'collects dust'],
    ['with care', ['pa66'], 'suits most; a little'],
    ['with care', ['shaft-bearing'], 'only what the maker says, from outside'],
    ['use', ['fkm', 'nbr'], 'mineral oil suits it'],
    ['never', ['epdm'], 'mineral oil swells EPDM'],
    ['with care', ['silicone-rubber'], 'swells a little'],
    ['with care', ['motor-gears'], 'only the maker’s gear grease, a little'],
    ['never', ['position-sensor'], 'creeps onto the track'],
    ['never', ['hot-film'], 'burns on'],
    ['never', ['gasket-face'], 'the gasket creeps'],
  ],
  'petroleum-jelly': [
    ['with care', METALS, 'holds a ball or a nut in place; wipe off'],
    ['never', ['coated-bore'], 'collects dust and burns on'],
    ['use', ['pa66'], 'harmless'],
    ['with care', ['shaft-bearing'], 'no bearing grease: thin film outside only'],
    ['with care', ['nbr', 'fkm'], 'suits it for fitting; a thin film'],
    ['never', ['epdm'], 'swells EPDM: the ring grows, folds and leaks'],
    ['with care', ['silicone-rubber'], 'swells a little; silicone does not want it either'],
    ['never', ['motor-gears'], 'melts and runs into the motor'],
    ['never', ['position-sensor'], 'creeps onto the track'],
    ['never', ['hot-film'], 'burns on'],
    ['never', ['gasket-face'], 'the gasket creeps'],
  ],
  'clean-oil': [
    ['use', METALS, 'a film against rust; wipe off the air path'],
    ['with care', ['coated-bore'], 'one drop on the edge after degreasing, wiped'],
    ['use', ['pa66'], 'harmless'],
    ['with care', ['shaft-bearing'], 'outside only, one drop'],
    ['use', ['nbr', 'fkm'], 'suits it for fitting'],
    ['never', ['epdm'], 'mineral oil swells EPDM'],
    ['with care', ['silicone-rubber'], 'swells a little'],
    ['never', ['motor-gears'], 'runs onto the brushes'],
    ['never', ['position-sensor'], 'creeps onto the track'],
    ['never', ['hot-film'], 'burns on'],
    [
      'with care',
      ['gasket-face'],
      'a film on paper lets it come off next time; some gaskets swell',
      view('renew-oiled', 'comes off easily next time'),
      view('renew', 'a dry face cannot creep'),
    ],
  ],
};

const row = (lines: readonly Line[]): Readonly<Record<Surface, Advice>> => {
  const cells = lines.flatMap(([verdict, surfaces, reason, ...schools]) =>
    surfaces.map((surface) => [surface, { verdict, reason, schools }] as const),
  );
  const found = Object.fromEntries(cells) as Partial<Record<Surface, Advice>>;
  const missing = (Object.keys(SURFACES) as Surface[]).find((surface) => found[surface] === undefined);
  if (missing !== undefined || cells.length !== Object.keys(SURFACES).length)
    throw new Error(`Expected one cell for each surface; ${missing ?? 'a surface'} is missing or written twice.`);
  return found as Readonly<Record<Surface, Advice>>;
};

/** The whole matrix. */
export const ADVICE = Object.fromEntries(
  (Object.entries(LINES) as [Substance, readonly Line[]][]).map(([substance, lines]) => [substance, row(lines)]),
) as Readonly<Record<Substance, Readonly<Record<Surface, Advice>>>>;
