import { upperFirst } from '../words/index.ts';
/** What tells one variant of a unit from another. Null or empty where it is not known. */
export interface VariantFeatures {
  /** Port diameter, mm. */
  readonly portMm: number | null;
  /** Gasket outline, as the shop names it: “oval, two holes”. */
  readonly gasket: string;
  /** Pins in the connector. */
  readonly pins: number | null;
  /** How the plate or valve is driven: cable, motor, stepper, rotary, duty, wax. */
  readonly drive: string;
  /** Casting or variant mark. */
  readonly mark: string;
  /** Bores in the one casting; absent where nobody has said, which is one. */
  readonly bores?: number | undefined;
}

/** A variant of which nothing is known. */
export const UNKNOWN_VARIANT: VariantFeatures = { portMm: null, gasket: '', pins: null, drive: '', mark: '' };

/** A feature's name. */
export type Feature = Exclude<keyof VariantFeatures, 'bores'>;

/** Features in words, with what a difference leads to. */
export const FEATURES: Readonly<
  Record<Feature, { readonly name: string; readonly leadsTo: 'idle codes' | 'no fit'; readonly why: string }>
> = {
  gasket: { name: 'Gasket outline', leadsTo: 'no fit', why: 'it does not seal' },
  pins: { name: 'Connector pins', leadsTo: 'no fit', why: 'the plug does not go on' },
  portMm: { name: 'Port diameter', leadsTo: 'idle codes', why: 'the computer counts on another amount of air' },
  drive: { name: 'Drive', leadsTo: 'idle codes', why: 'the computer drives it in another way' },
  mark: { name: 'Variant mark', leadsTo: 'idle codes', why: 'another map belongs to it' },
};

/** One feature that is not as expected. */
export interface Difference {
  readonly feature: Feature;
  readonly expected: string;
  readonly found: string;
  readonly leadsTo: 'idle codes' | 'no fit';
  readonly why: string;
}

/** The result of {@link matchVariant}. */
export interface VariantMatch {
  readonly verdict: 'fits' | 'fits, but sets idle codes' | 'does not fit' | 'not known';
  readonly differs: readonly Difference[];
  /** Features that one side does not know. */
  readonly unknown: readonly Feature[];
  /** One sentence for the person. */
  readonly words: string;
}

/** Callipers and casting draft: a smaller difference is not one. */
export const PORT_SLACK_MM = 0.3;

/**
 * Compares a unit with what the engine's computer expects. Features that either side does not know are not judged;
 * `not known` is said when none can be.
 */
export function matchVariant(expected: VariantFeatures, found: VariantFeatures): VariantMatch {
  const features = Object.keys(FEATURES) as Feature[];
  const known = (value: string | number | null): boolean => value !== null && value !== '';
  const unknown = features.filter((feature) => !known(expected[feature]) || !known(found[feature]));
  const differs = features
    .filter((feature) => !unknown.includes(feature) && !alike(feature, expected, found))
    .map((feature): Difference => {
      const { leadsTo, why } = FEATURES[feature];
      return { feature, expected: inWords(feature, expected), found: inWords(feature, found), leadsTo, why };
    });
  const verdict =
    unknown.length === features.length
      ? 'not known'
      : differs.some(({ leadsTo }) => leadsTo === 'no fit')
        ? 'does not fit'
        : differs.length > 0
          ? 'fits, but sets idle codes'
          : 'fits';
  return { verdict, differs, unknown, words: sentence(verdict, differs, unknown) };
}

function alike(feature: Feature, expected: VariantFeatures, found: VariantFeatures): boolean {
  if (feature === 'portMm') return Math.abs((expected.portMm ?? 0) - (found.portMm ?? 0)) <= PORT_SLACK_MM + 1e-9;
  if (feature === 'pins') return expected.pins === found.pins;
  const plain = (text: string): string =>
    text
      .toLowerCase()
      .replace(/[\s,.-]+/g, ' ')
      .trim();
  return plain(expected[feature]) === plain(found[feature]);
}

const inWords = (feature: Feature, { [feature]: value }: VariantFeatures): string =>
  feature === 'portMm' ? `${value} mm` : feature === 'pins' ? `${value} pins` : String(value);

function sentence(
  verdict: VariantMatch['verdict'],
  differs: readonly Difference[],
  unknown: readonly Feature[],
): string {
  const list = (features: readonly Feature[]): string =>
    features.map((feature) => FEATURES[feature].name.toLowerCase()).join(', ');
  const tail = unknown.length === 0 ? '' : ` Not compared: ${list(unknown)}.`;
  if (verdict === 'not known') return 'Nothing to compare: note the port, gasket, pins, drive and mark.';
  if (verdict === 'fits') return `As expected.${tail}`;
  const said = differs
    .map(
      ({ feature, expected, found, why }) =>
        `${FEATURES[feature].name.toLowerCase()} ${found}, expected ${expected}: ${why}`,
    )
    .join('; ');
  return `${upperFirst(verdict)}: ${said}.${tail}`;
}
