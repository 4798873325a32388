import { advise, canUse, FORM_SURFACES, SUBSTANCES, SURFACES } from '../../clean/index.ts';
import { convert, type Kind, parseQuantity, type Quantity } from '../../quantity/index.ts';
import { lubricantProblem } from '../../rebuild/index.ts';
import { accept, type CommandData, type Refusal, refuse, refuseField } from '../commands.ts';
import { event } from '../events.ts';
import { runningTimers } from '../query.ts';
import { type Handlers, nonEmpty, plain, timerEnded, within } from './handlers.ts';

/** Inspect, clean, rebuild, coolant. */
export const bench: Handlers<
  | 'record-finding'
  | 'attach-picture'
  | 'weigh-can'
  | 'do-pass'
  | 'start-timer'
  | 'end-timer'
  | 'decide-seal'
  | 'record-coolant'
  | 'check-level'
  | 'use-part'
> = {
  'record-finding': (_, data) => {
    if (data.grade === null && data.text.trim() === '') return refuseField('text', 'Pick a grade or say what you see.');
    return (data.grade === null ? null : within('grade', data.grade, 0, 4)) ?? accept(event('finding-recorded', data));
  },
  'attach-picture': plain('picture-attached'),
  'weigh-can': (_, { beforeText, afterText, ...data }) => {
    const before = typed('beforeText', beforeText, 'mass', 'g');
    if ('ok' in before) return before;
    const after = typed('afterText', afterText, 'mass', 'g');
    if ('ok' in after) return after;
    const beforeG = convert(before.value, before.unit, 'g');
    const afterG = convert(after.value, after.unit, 'g');
    if (!(beforeG > 0)) return refuseField('beforeText', 'Expected the can to weigh more than 0 g before.');
    if (afterG > beforeG)
      return refuseField(
        'afterText',
        `Expected at most ${beforeG} g after use, got ${afterG}: the can cannot gain weight.`,
      );
    const wrong =
      (data.minutes === undefined ? null : within('minutes', data.minutes, 0, 600, 'minutes')) ??
      (data.priceMinor === undefined ? null : within('priceMinor', data.priceMinor, 0, 10_000_000));
    if (wrong) return wrong;
    for (const surface of data.surfaces ?? []) {
      const { verdict, reason } = advise(data.substance, surface, 'spray');
      if (verdict === 'never')
        return refuse(
          'never',
          sentence(data.substance, surface, reason),
          'Take another cleaner, or keep it off there.',
        );
    }
    return accept(event('can-weighed', { ...data, beforeG, afterG, grams: canUse(beforeG, afterG).grams }));
  },
  'do-pass': (job, { form, soak, ...data }, _, at) => {
    const never = form === undefined ? null : neverOn(form, data);
    if (never !== null) return never;
    // Whoever goes on with a unit has taken it out of its soak.
    const ended = runningTimers(job)
      .filter(({ kind, unit }) => kind === 'soak' && unit === data.unit)
      .map((timer) => timerEnded(timer, at));
    if (soak === undefined) return accept(...ended, event('pass-done', data));
    if (job.timers.some(({ id }) => id === soak.timerId)) return refuse('already-there', 'That timer runs already.');
    return (
      within('soak.minutes', soak.minutes, 0.1, 14 * 24 * 60, 'minutes') ??
      accept(
        ...ended,
        event('pass-done', data),
        event('timer-started', {
          id: soak.timerId,
          label: soak.label,
          minutes: soak.minutes,
          kind: 'soak',
          unit: data.unit,
        }),
      )
    );
  },
  'start-timer': (job, data) => {
    if (job.timers.some(({ id }) => id === data.id)) return refuse('already-there', 'That timer runs already.');
    return (
      nonEmpty('label', data.label, 'What is it timing?') ??
      within('minutes', data.minutes, 0.1, 14 * 24 * 60, 'minutes') ??
      accept(event('timer-started', data))
    );
  },
  'end-timer': (job, data) => {
    const timer = job.timers.find(({ id }) => id === data.id);
    return timer === undefined || timer.ended !== null
      ? refuse('not-there', 'That timer is not running.')
      : accept(event('timer-ended', data));
  },
  'decide-seal': (_, data) =>
    nonEmpty('name', data.name, 'Which seal or gasket?') ??
    (data.decision === 'reused'
      ? nonEmpty('why', data.why, 'Say why it can serve again: proud, unmarked, soft?')
      : null) ??
    wrongLubricant(data) ??
    accept(event('seal-decided', data)),
  'record-coolant': (job, { amountText, ...data }) => {
    const quantity = typed('amountText', amountText, 'volume', 'L');
    if ('ok' in quantity) return quantity;
    const litres = convert(quantity.value, quantity.unit, 'L');
    if (litres === 0) return refuseField('amountText', 'Expected more than 0 L.');
    const capacity = job.procedure?.coolant?.capacityL ?? 40;
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
    return accept(event('coolant-recorded', { ...data, quantity, litres }));
  },
  'check-level': plain('level-checked'),
  'use-part': (_, data) =>
    nonEmpty('name', data.name, 'Which part?') ??
    within('quantity', data.quantity, 1, 999) ??
    within('priceMinor', data.priceMinor, 0, 100_000_000) ??
    accept(event('part-used', data)),
};

function typed(field: string, text: string, kind: Kind, assume: 'g' | 'L'): Quantity | Refusal {
  const parsed = parseQuantity(text, kind, assume);
  if (!parsed.ok) return refuseField(field, parsed.message);
  return parsed.upTo === undefined ? parsed.quantity : refuseField(field, 'Expected one figure, got a range.');
}

const sentence = (substance: keyof typeof SUBSTANCES, surface: keyof typeof SURFACES, reason: string): string =>
  `Never ${SUBSTANCES[substance]} on ${SURFACES[surface]}: ${reason}.`;

/** A pass that would bring something onto what is cleaned that must never touch it, or into a motor by spraying. */
function neverOn(
  form: NonNullable<CommandData['do-pass']['form']>,
  { substance, how }: Pick<CommandData['do-pass'], 'substance' | 'how'>,
): Refusal | null {
  if (substance === undefined || how === undefined) return null;
  const [cleaned] = FORM_SURFACES[form];
  // A body with a motor on it cannot be wetted without wetting the motor; a valve can be held port down.
  const wetMotor = form === 'electronic' ? (['motor-gears'] as const) : [];
  for (const surface of [...(cleaned === undefined ? [] : [cleaned]), ...wetMotor]) {
    const { verdict, reason } = advise(substance, surface, how);
    if (verdict === 'never')
      return refuse('never', sentence(substance, surface, reason), 'Look at the advice for what may touch it.');
  }
  return null;
}

function wrongLubricant({ rubber, lubricant }: CommandData['decide-seal']): Refusal | null {
  if (rubber === undefined || lubricant === undefined) return null;
  const problem = lubricantProblem(lubricant, rubber);
  return problem === null ? null : refuseField('lubricant', problem);
}
