import { format, formatMinutes } from '../../quantity/index.ts';
import { type CustomerPage, row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import { upperFirst, lowerFirst } from '../../words/index.ts';
import { UNIT_KINDS } from '../../vehicle/index.ts';
import { CHOICES } from '../choice/choices.ts';
import { unitName } from '../inspection/units.ts';
import { comesOff } from '../items/backSteps.ts';
import { isBack } from '../items/query.ts';
import type { Job } from '../job.ts';
import { costOf } from './cost.ts';
import { openPoints } from './openPoints.ts';
import { stageGaps } from './progress.ts';
import { STAGES } from '../stages.ts';

const sentence = (text: string): string => {
  const whole = upperFirst(text.trim());
  return /[.!?…]$/.test(whole) ? whole : `${whole}.`;
};

/** What a check found; where the finding names what was checked, that is not said twice. */
function foundWords({ name, result }: Job['checks'][number]): string {
  const found = lowerFirst(result.trim().replace(/[.]+$/, ''));
  return found.startsWith(lowerFirst(name)) ? found : `${lowerFirst(name)}: ${found}`;
}

/** What was wrong in the customer's words, what was found to be behind it. */
function wrong(job: Job): string[] {
  const told = job.told.map(({ text }) => `“${text.trim().replace(/[.]+$/, '')}.”`);
  const codes = job.codes.filter(({ when }) => when === 'before').map(({ code }) => code);
  const bad = job.checks.filter(({ verdict, when }) => verdict === 'abnormal' && when === 'before');
  return [
    ...(told.length > 0 ? told : [`“${job.complaint.trim()}”`]),
    ...(codes.length === 0 ? [] : [`The engine computer had stored ${codes.join(', ')}.`]),
    ...(bad.length === 0 ? [] : [sentence(`Found: ${bad.map(foundWords).join('; ')}`)]),
  ];
}

/** What was done, from what is recorded as done; nothing is said that was only planned. */
function done(job: Job): string[] {
  const off = job.items.filter((item) => item.stripOrder !== null && item.aside === null && comesOff(item));
  const cleaned = [...new Set(job.passes.map(({ unit }) => unit))].map((unit) => {
    const where = job.passes.every((pass) => pass.unit !== unit || pass.onVehicle)
      ? ' (on the vehicle, from the front)'
      : '';
    return `${lowerFirst(unitName(job, unit))}${where}`;
  });
  const renewed = [
    ...new Set([
      ...job.seals.filter(({ decision }) => decision === 'renewed').map(({ name }) => lowerFirst(name)),
      ...job.items.filter(({ state }) => state === 'renewed').map(({ name }) => lowerFirst(name)),
      ...job.parts.map(({ name, quantity }) =>
        quantity === 1 ? lowerFirst(name) : `${quantity} × ${lowerFirst(name)}`,
      ),
    ]),
  ];
  const took = job.runs.filter(({ run, closed }) => run.recipe.purpose === 'relearn' && closed?.outcome === 'took');
  const added = job.coolant.filter(({ kind }) => kind === 'added').reduce((sum, { litres }) => sum + litres, 0);
  return [
    ...(job.decision === null ? [] : [sentence(`Decided: ${lowerFirst(CHOICES[job.decision.choice])}`)]),
    ...job.replaced.map(({ kind, place, fitted }) =>
      sentence(
        `${UNIT_KINDS[kind]}${place === 'only' ? '' : `, ${place},`} replaced by a ${fitted.origin} one, ${fitted.partNumber}`,
      ),
    ),
    ...(cleaned.length === 0 ? [] : [sentence(`Cleaned: ${cleaned.join(', ')}`)]),
    ...(renewed.length === 0 ? [] : [sentence(`Renewed: ${renewed.join(', ')}`)]),
    ...(off.length === 0
      ? []
      : [`${off.length} ${off.length === 1 ? 'thing' : 'things'} came off; ${off.filter(isBack).length} went back.`]),
    ...(added > 0 ? [`Coolant topped up by ${added.toFixed(2)} L.`] : []),
    ...(took.length === 0 ? [] : ['The engine computer has learned its idle again.']),
  ];
}

function cost(job: Job, say: Speaker): SheetRow[] {
  if (job.handOver === null) return [];
  const { labourMinutes, ratePerHourMinor, currency } = job.handOver;
  const money = (minor: number): string => say.money(minor, currency);
  const sum = costOf(job, labourMinutes, ratePerHourMinor);
  return [
    row('Labour', money(sum.labourMinor), formatMinutes(labourMinutes)),
    ...job.parts.map(({ name, quantity, priceMinor }) =>
      row(name, money(quantity * priceMinor), quantity === 1 ? '' : `${quantity} at ${money(priceMinor)}`),
    ),
    ...(sum.materialsMinor === 0 ? [] : [row('Cleaner and coolant', money(sum.materialsMinor))]),
    row('Total', money(sum.totalMinor)),
  ];
}

const again = (days: number | null, use: number | null, unit: string): string =>
  [days === null ? '' : `in ${days} days`, use === null ? '' : `after ${use} ${unit}`].filter(Boolean).join(' or ');

const watch = ({ handOver, leftOpen, rechecks, vehicle }: Job): string[] => [
  ...(handOver?.watch ? [sentence(handOver.watch)] : []),
  ...leftOpen.map(({ words, watch: what, days, use }) =>
    sentence(`${words}: watch ${lowerFirst(what)}; we look again ${again(days, use, vehicle.meterUnit)}`),
  ),
  ...rechecks.map(({ what, days, use }) => sentence(`${what} again ${again(days, use, vehicle.meterUnit)}`)),
  ...(handOver?.nextDue ? [`Next due at ${format(handOver.nextDue)}.`] : []),
];

/** Every gap of the record, each once: at the stages, and what was renewed without a price. */
function gaps(job: Job): string[] {
  const priced = new Set(job.parts.map(({ name }) => name.toLowerCase()));
  const unpriced = job.items.filter(({ state, name }) => state === 'renewed' && !priced.has(name.toLowerCase()));
  return [
    ...new Set([
      ...STAGES.slice(0, -1).flatMap((stage) => stageGaps(job, stage).map(({ words }) => words)),
      ...openPoints(job)
        .filter(({ left }) => left === null)
        .map(({ words }) => words),
      ...unpriced.map(({ name }) => `${name} was renewed, and its price is not in the sum`),
    ]),
  ].map(sentence);
}

/** The first page of the sheet, for the customer. Every sentence is made from what is recorded. */
export const customerPage = (job: Job, say: Speaker): CustomerPage => ({
  wrong: wrong(job),
  done: done(job),
  cost: cost(job, say),
  watch: watch(job),
  gaps: gaps(job),
  signs: ['Workshop', 'Customer'],
});
