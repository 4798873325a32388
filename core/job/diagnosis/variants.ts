import { id, keyOf, line, oneOf, paragraph, record } from '../../shape/index.ts';
import { matchVariant, UNIT_KINDS, unitTypeOf, UNKNOWN_VARIANT } from '../../vehicle/index.ts';
import { command } from '../command.ts';
import { accept, refuse, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { features } from '../shapes.ts';

/** What {@link variantCompared} holds. */
export const variantComparedShape = record({
  id,
  kind: keyOf(UNIT_KINDS),
  place: line,
  expected: features,
  found: features,
  verdict: oneOf('fits', 'fits, but sets idle codes', 'does not fit', 'not known'),
  words: paragraph,
});
/** What is fitted was compared with what the computer expects. */
export const variantCompared = fact('variant-compared', {
  shape: variantComparedShape,
  means: (job, data, stamp) => ({
    variants: [
      ...job.variants.filter(({ kind, place }) => !(kind === data.kind && place === data.place)),
      { ...data, ...stamp },
    ],
  }),
  words: (data) => `Variant: ${data.verdict}`,
  putRight: {},
  sheet: 'Checked and decided',
});

/** Compares what is fitted with what the family expects. */
export const compareVariant = command('compare-variant', {
  shape: record({ id, kind: keyOf(UNIT_KINDS), place: line, found: features }),
  asks: () => ({ family: true }),
  decide: (_, { id, kind, place, found }, { family }) => {
    const type = unitTypeOf(family, kind);
    if (type === null)
      return refuse(
        'nothing-to-compare',
        'The engine family says nothing of this unit.',
        'Note port, gasket, pins and mark in the family first.',
      );
    const wrong =
      (found.portMm === null ? null : within('portMm', found.portMm, 5, 200, 'mm')) ??
      (found.pins === null ? null : within('pins', found.pins, 0, 40));
    if (wrong) return wrong;
    const { verdict, words } = matchVariant(type.expected ?? UNKNOWN_VARIANT, found);
    return accept(variantCompared.of({ id, kind, place, expected: type.expected, found, verdict, words }));
  },
});
