import { INHIBITORS } from '../../coolant/index.ts';
import { convert, FIELDS, format } from '../../quantity/index.ts';
import {
  flag,
  id,
  keyOf,
  line,
  number,
  oneOf,
  optional,
  orNull,
  record,
  type RecordOf,
  whole,
} from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuseField, within } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import { quantity } from '../shapes.ts';
import { typedAmount } from '../typedAmount.ts';
import { coolantSystem } from './system.ts';

/** What {@link coolantRecorded} holds. */
export const coolantRecordedShape = record({
  id,
  kind: oneOf('caught', 'returned', 'added', 'discarded'),
  quantity,
  litres: number,
  concentration: orNull(number),
  /** Null where nobody said. */
  inhibitor: orNull(keyOf(INHIBITORS)),
  priceMinor: orNull(whole),
  /** The bottle of the stock that it was poured from; null for another. */
  stockId: orNull(id),
  /** The bottle is empty now. */
  emptied: flag,
});
/** What need not be said of an entry. */
const unsaid = {
  inhibitor: optional(keyOf(INHIBITORS)),
  priceMinor: optional(whole),
  stockId: optional(id),
  emptied: optional(flag),
} as const;
const inFull = (said: RecordOf<typeof unsaid>) => ({
  inhibitor: said.inhibitor ?? null,
  priceMinor: said.priceMinor ?? null,
  stockId: said.stockId ?? null,
  emptied: said.emptied ?? false,
});
/** Coolant came out, went back, was added or thrown away. */
export const coolantRecorded = fact('coolant-recorded', {
  shape: coolantRecordedShape,
  earlier: [
    // At first only how much and how strong was kept.
    earlier(record({ ...coolantRecordedShape.fields, ...unsaid }), (data) => ({ ...data, ...inFull(data) })),
  ],
  means: (job, data, stamp) => ({ coolant: [...job.coolant, { ...data, ...stamp }] }),
  words: (data) => `Coolant ${data.kind}: ${format(data.quantity)}`,
  putRight: {
    anew: {
      command: 'record-coolant',
      from: ({ quantity, litres: _, ...data }) => ({
        ...Object.fromEntries(Object.entries(data).filter(([, value]) => value !== null)),
        concentration: data.concentration,
        amountText: quantity.text ?? format(quantity),
      }),
      fields: {
        amountText: { label: 'How much' },
        kind: {
          label: 'What was done with it',
          choices: { caught: 'Caught', returned: 'Returned', added: 'Added', discarded: 'Thrown away' },
        },
      },
    },
  },
  sheet: 'Coolant',
});

/** Books coolant. */
export const recordCoolant = command('record-coolant', {
  shape: record({
    id,
    kind: oneOf('caught', 'returned', 'added', 'discarded'),
    amountText: line,
    concentration: orNull(number),
    ...unsaid,
  }),
  asks: () => ({ measures: true }),
  decide: (job, { amountText, ...data }, { measures }) => {
    const quantity = typedAmount('amountText', amountText, FIELDS.coolantLitres, measures);
    if ('ok' in quantity) return quantity;
    const litres = convert(quantity.value, quantity.unit, 'L');
    if (litres === 0) return refuseField('amountText', 'Expected more than 0 L.');
    const capacity = coolantSystem(job)?.capacityL ?? 40;
    if (litres > capacity)
      return refuseField('amountText', `The system holds ${capacity} L; expected at most that, got ${litres} L.`);
    const sum = (kind: string): number =>
      job.coolant.reduce((total, entry) => (entry.kind === kind ? total + entry.litres : total), 0);
    const inTray = sum('caught') - sum('returned') - sum('discarded');
    if ((data.kind === 'returned' || data.kind === 'discarded') && litres > inTray + 1e-9) {
      return refuseField('amountText', `Only ${inTray.toFixed(2)} L is in the tray; got ${litres} L.`);
    }
    if (data.kind === 'added') {
      const share = data.concentration;
      if (share === null)
        return refuseField('concentration', 'How strong is what you add? 0 for water, 50 for ready-mix.');
      const wrong = within('concentration', share * 100, 0, 100, '%');
      if (wrong) return wrong;
    }
    if (data.priceMinor !== undefined) {
      const wrong = within('priceMinor', data.priceMinor, 0, 10_000_000);
      if (wrong) return wrong;
    }
    return accept(coolantRecorded.of({ ...data, ...inFull(data), quantity, litres }));
  },
});

/** What {@link levelChecked} holds. */
export const levelCheckedShape = record({ when: oneOf('hot', 'cold'), level: oneOf('low', 'right', 'high') });
/** The level was looked at. */
export const levelChecked = fact('level-checked', {
  shape: levelCheckedShape,
  means: (job, data, stamp) => ({ levels: [...job.levels, { ...data, ...stamp }] }),
  words: (data) => `Level ${data.when}: ${data.level}`,
  putRight: {
    anew: {
      command: 'check-level',
      from: (data) => data,
      fields: {
        when: { label: 'Engine', choices: { hot: 'Hot', cold: 'Cold' } },
        level: { label: 'Level', choices: { low: 'Low', right: 'Right', high: 'High' } },
      },
    },
  },
  sheet: 'Coolant',
});

/** Notes the level. */
export const checkLevel = command('check-level', {
  shape: levelCheckedShape,
  decide: (_, data) => accept(levelChecked.of(data)),
});
