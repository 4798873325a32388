import { id, idOrNone, keyOf, line, oneOf, paragraph, record, whole } from '../../shape/index.ts';
import {
  type EngineFamily,
  lifeProblem,
  matchVariant,
  UNIT_KINDS,
  type UnitObjectKind,
  unitTypeOf,
} from '../../vehicle/index.ts';
import { upperFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { partUsed } from '../needs/parts.ts';
import { features } from '../shapes.ts';
import { FAIL_CODES } from './failCodes.ts';

/** What a person says of a replacement. */
const replacement = {
  id,
  /** The unit of the job. */
  unit: id,
  kind: keyOf(UNIT_KINDS),
  place: line,
  oldUnitId: idOrNone,
  oldPartNumber: line,
  fitted: record({
    unitId: idOrNone,
    partNumber: line,
    features,
    origin: oneOf('new', 'rebuilt', 'used'),
    priceMinor: whole,
    supplier: line,
    /** Months from fitting; 0 for none. */
    warrantyMonths: whole,
  }),
  failCode: keyOf(FAIL_CODES),
  failNote: line,
  /** Why it is fitted although it differs; empty otherwise. */
  anyway: line,
} as const;

/** What {@link unitReplaced} holds. */
export const unitReplacedShape = record({
  ...replacement,
  verdict: oneOf('fits', 'fits, but sets idle codes', 'does not fit', 'not known'),
  words: paragraph,
});
/** A unit was replaced by another, compared with what the engine expects. */
export const unitReplaced = fact('unit-replaced', {
  shape: unitReplacedShape,
  means: (job, data, stamp) => ({
    replaced: [...job.replaced.filter(({ unit }) => unit !== data.unit), { ...data, ...stamp }],
  }),
  words: (data) => `Replaced by ${data.fitted.partNumber}`,
  sheet: 'On the bench',
});

/** Replaces a unit. */
export const replaceUnit = command('replace-unit', {
  shape: record(replacement),
  asks: ({ fitted }) => ({ family: true, unit: fitted.unitId }),
  decide: (job, data, { family, unit }) => {
    const { fitted } = data;
    const wrong =
      nonEmpty('fitted.partNumber', fitted.partNumber, 'Which number is on the one that goes on?') ??
      nonEmpty('fitted.unitId', fitted.unitId, 'Give it a tag, so that its history has a name.') ??
      within('fitted.priceMinor', fitted.priceMinor, 0, 100_000_000) ??
      within('fitted.warrantyMonths', fitted.warrantyMonths, 0, 120, 'months');
    if (wrong) return wrong;
    if (fitted.unitId === data.oldUnitId)
      return refuseField('fitted.unitId', 'That is the tag of the one that came off.');
    // A unit that sits on another vehicle, was scrapped or sold is said before it is bolted on.
    const elsewhere = unit === null ? null : lifeProblem(unit, { kind: 'fitted', vehicleId: job.vehicle.id });
    if (elsewhere !== null) return refuse('unit-elsewhere', elsewhere, 'Pick another tag, or correct the unit’s page.');
    const match = matchVariant(expectedOf(family, data.kind) ?? fitted.features, fitted.features);
    const words = expectedOf(family, data.kind) === null ? 'Nothing to compare it with.' : match.words;
    if (match.verdict === 'does not fit' && data.anyway.trim() === '')
      return refuse('does-not-fit', words, 'Get the right one, or say why it goes on all the same.');
    const name = `${data.place === 'only' ? '' : `${data.place}, `}${fitted.origin} unit`;
    return accept(
      unitReplaced.of({ ...data, verdict: match.verdict, words }),
      ...(fitted.priceMinor === 0
        ? []
        : [
            partUsed.of({
              id: `${data.id}-part`,
              name: upperFirst(name),
              partNumber: fitted.partNumber,
              quantity: 1,
              priceMinor: fitted.priceMinor,
            }),
          ]),
    );
  },
});

const expectedOf = (family: EngineFamily | null, kind: UnitObjectKind) => unitTypeOf(family, kind)?.expected ?? null;
