import { advance, startRun } from '../../relearn/index.ts';
import type { EventData, EventType } from '../events.ts';
import { closerOf, isBack, itemOf } from '../query.ts';
import type { Job, JobOpening, NeedState, Stamp } from '../types.ts';
import { APPLY_BENCH } from './applyBench.ts';
import { APPLY_STRIP } from './applyStrip.ts';
import { change, freshItem, plugItem } from './items.ts';

type Apply<K extends EventType> = (job: Job, data: EventData[K], stamp: Stamp) => Partial<Job>;

/** What each event changes. Undo and opening are handled by `evolve` itself. */
export const APPLY: { readonly [K in Exclude<EventType, 'job-opened' | 'undone'>]: Apply<K> } = {
  ...APPLY_STRIP,
  ...APPLY_BENCH,
  'reading-corrected': (_, { reading, reason }) => ({ reading, readingReason: reason }),
  'history-told': (_, { since, doneBefore }) => ({ since, doneBefore }),
  'symptom-noted': (job, data, stamp) => ({ symptoms: [...job.symptoms, { ...data, ...stamp }] }),
  'symptom-struck': (job, { id }) => ({ symptoms: job.symptoms.filter((symptom) => symptom.id !== id) }),
  'code-read': (job, data, stamp) => ({ codes: [...job.codes, { ...data, ...stamp }] }),
  'codes-read-out': (job, { when }, stamp) => ({ codesRead: { ...job.codesRead, [when]: stamp } }),
  'check-done': (job, data, stamp) => ({
    checks: [...job.checks, { ...data, ...stamp, check: null, outcome: null, typed: [], band: null, when: 'before' }],
  }),
  'knowledge-chosen': (_, { version }) => ({ knowledge: version }),
  'complaint-told': (job, { id, text, heard }, stamp) => ({
    told: [...job.told, { id, text, ...stamp }],
    signs: [
      ...job.signs.filter(({ sign }) => !heard.some((one) => one.sign === sign)),
      ...heard.map(({ sign, outcome, phrase }, index) => ({
        id: `${id}-${index + 1}`,
        sign,
        outcome,
        words: phrase,
        source: 'said' as const,
        ...stamp,
      })),
    ],
  }),
  'answer-given': (job, data, stamp) => ({
    signs: [...job.signs.filter(({ sign }) => sign !== data.sign), { ...data, source: 'asked', ...stamp }],
  }),
  'sign-struck': (job, { id }) => ({ signs: job.signs.filter((sign) => sign.id !== id) }),
  'check-recorded': (job, data, stamp) => ({
    checks: [...job.checks, { ...data, ...stamp }],
    passedOver: job.passedOver.filter(({ check }) => check !== data.check),
  }),
  'check-passed-over': (job, data, stamp) => ({ passedOver: [...job.passedOver, { ...data, ...stamp }] }),
  'frame-read': (job, data, stamp) => ({
    frames: [...job.frames.filter(({ code }) => code !== data.code), { ...data, ...stamp }],
  }),
  'values-read': (job, data, stamp) => ({ values: [...job.values, { ...data, ...stamp }] }),
  'codes-cleared': (job, data, stamp) => ({ clearings: [...job.clearings, { ...data, ...stamp, ended: null }] }),
  'clearing-ended': (job, { id, outcome, words }, stamp) => ({
    clearings: job.clearings.map((each) => (each.id === id ? { ...each, ended: { outcome, words, ...stamp } } : each)),
  }),
  'variant-compared': (job, data, stamp) => ({
    variants: [
      ...job.variants.filter(({ kind, place }) => !(kind === data.kind && place === data.place)),
      { ...data, ...stamp },
    ],
  }),
  'terms-set': (job, { option, ...terms }) => ({
    terms: [...job.terms.filter(({ id }) => id !== option), { id: option, ...terms }],
  }),
  'belief-kept': (_, data, stamp) => ({ belief: { ...data, ...stamp } }),
  'rule-departed': (job, data, stamp) => ({
    departures: [...job.departures.filter(({ question }) => question !== data.question), { ...data, ...stamp }],
  }),
  'estimate-made': (job, data, stamp) => ({ estimates: [...job.estimates, { ...data, ...stamp, answer: null }] }),
  'estimate-answered': (job, { id, ...answer }, stamp) => ({
    estimates: job.estimates.map((each) => (each.id === id ? { ...each, answer: { ...answer, ...stamp } } : each)),
  }),
  'decision-made': (_, data, stamp) => ({ decision: { ...data, ...stamp } }),
  'procedure-pinned': (job, { procedure }) => ({
    procedure,
    items: [
      ...procedure.items.map((item) => freshItem(item, 'procedure')),
      ...job.items.filter(({ origin }) => origin === 'typed'),
    ],
    openings: procedure.openings.map((opening): JobOpening => ({ ...opening, state: 'whole', plugId: null })),
    constraints: procedure.constraints,
    needs: [],
    brokenOrders: [],
    benchDone: [],
  }),
  'need-ticked': (job, data, { at }) => ({
    needs: [...job.needs.filter(({ needId }) => needId !== data.needId), { ...data, ...orderOf(job, data, at) }],
  }),
  'caution-acknowledged': (job, { caution }) => ({ cautions: [...job.cautions, caution] }),
  'item-added': (job, { item }) => ({ items: [...job.items, freshItem(item, 'typed')] }),
  'constraint-added': (job, { constraint }) => ({ constraints: [...job.constraints, constraint] }),
  'item-removed': (job, data, stamp) => {
    const opens = itemOf(job, data.itemId)?.opens ?? [];
    return {
      items: change(job.items, data.itemId, (item) => ({
        ...item,
        state: 'off',
        off: stamp,
        back: null,
        stripOrder: item.stripOrder ?? nextPlace(job),
        pocket: data.pocket || item.pocket,
        label: data.label || item.label,
        countedOut: data.countedOut,
        countedBack: null,
        confirmed: false,
        bolts: [],
        fitted: '',
        stayingIn: data.stayIn ?? 0,
        lengthsOut: data.lengthsOut ?? [],
        swapped: null,
        retorqued: null,
        kept: item.kept.map((each) => ({ ...each, restored: null })),
      })),
      openings: setOpenings(job.openings, opens, 'open'),
      // Off again: what it covered can be reached.
      brokenOrders: job.brokenOrders.filter(({ itemId }) => itemId !== data.itemId),
      hands: job.hands.filter(({ itemId }) => itemId !== data.itemId),
    };
  },
  'item-remarked': (job, { itemId, pocket, label, remark }) => ({
    items: change(job.items, itemId, (item) => ({ ...item, pocket, label, remark })),
  }),
  'opening-plugged': (job, { openingId, plugId, what }, stamp) => ({
    items: [...job.items, plugItem(plugId, what, nextPlace(job), stamp)],
    openings: job.openings.map((opening) =>
      opening.id === openingId ? { ...opening, state: 'plugged', plugId } : opening,
    ),
  }),
  'opening-unplugged': (job, { openingId }, stamp) => {
    const plugId = job.openings.find(({ id }) => id === openingId)?.plugId ?? '';
    const closer = closerOf(job, openingId);
    return {
      items: change(job.items, plugId, (item) => ({ ...item, state: 'refitted', back: stamp })),
      openings: job.openings.map((opening) =>
        opening.id === openingId
          ? { ...opening, state: closer !== undefined && isBack(closer) ? 'closed' : 'open' }
          : opening,
      ),
    };
  },
  'item-put-back': (job, data, stamp) => ({
    items: change(job.items, data.itemId, (item) => ({
      ...item,
      state: data.renewed ? 'renewed' : 'refitted',
      back: stamp,
      fitted: data.fitted,
      countedBack: data.countedBack,
      confirmed: data.confirmed || item.confirmed,
      stayingIn: 0,
      // A new one brings its own threads and has nothing broken.
      threads: data.renewed ? [] : item.threads,
    })),
    openings: setOpenings(job.openings, itemOf(job, data.itemId)?.opens ?? [], 'closed'),
    hands: job.hands.filter(({ itemId }) => itemId !== data.itemId),
  }),
  'connector-confirmed': (job, { itemId }) => ({
    items: change(job.items, itemId, (item) => ({ ...item, confirmed: true })),
  }),
  'item-left-off': (job, { itemId, reason }, stamp) => ({
    items: change(job.items, itemId, (item) => ({ ...item, state: 'left-off', back: stamp, remark: reason })),
  }),
  'bolt-tightened': (job, { itemId, ...result }, stamp) => ({
    items: change(job.items, itemId, (item) => ({
      ...item,
      bolts: [...item.bolts.filter(({ boltId }) => boltId !== result.boltId), { ...result, ...stamp }],
    })),
  }),
  'object-placed': (job, data, stamp) => ({ objects: [...job.objects, { ...data, ...stamp, out: false }] }),
  'object-taken-out': (job, { id }) => ({
    objects: job.objects.map((object) => (object.id === id ? { ...object, out: true } : object)),
  }),
  'finding-recorded': (job, data, stamp) => ({
    findings: [
      ...job.findings.filter(
        (known) => !(known.point === data.point && known.unit === data.unit && known.when === data.when),
      ),
      { ...data, ...stamp },
    ],
  }),
  'picture-attached': (job, data, stamp) => ({ pictures: [...job.pictures, { ...data, ...stamp }] }),
  'can-weighed': (job, data, stamp) => ({ cleaners: [...job.cleaners, { ...data, ...stamp }] }),
  'pass-done': (job, data, stamp) => ({ passes: [...job.passes, { ...data, ...stamp }] }),
  'timer-started': (job, data, stamp) => ({ timers: [...job.timers, { ...data, ...stamp, ended: null }] }),
  'timer-ended': (job, { id, outcome }, stamp) => ({
    timers: job.timers.map((timer) => (timer.id === id ? { ...timer, ended: { ...stamp, outcome } } : timer)),
  }),
  'seal-decided': (job, data, stamp) => ({
    seals: [...job.seals.filter(({ name }) => name !== data.name), { ...data, ...stamp }],
  }),
  'coolant-recorded': (job, data, stamp) => ({ coolant: [...job.coolant, { ...data, ...stamp }] }),
  'level-checked': (job, data, stamp) => ({ levels: [...job.levels, { ...data, ...stamp }] }),
  'run-started': (job, { id, recipe }, stamp) => ({
    runs: [...job.runs, { id, run: startRun(recipe, stamp.at), closed: null, ...stamp }],
  }),
  'run-advanced': (job, { runId, input }, { at }) => ({
    runs: job.runs.map((entry) =>
      entry.id === runId ? { ...entry, run: advance(entry.run, { ...input, at }) } : entry,
    ),
  }),
  'run-closed': (job, { runId, outcome, why }, stamp) => ({
    runs: job.runs.map((entry) => (entry.id === runId ? { ...entry, closed: { ...stamp, outcome, why } } : entry)),
  }),
  'measurement-taken': (job, data, stamp) => ({
    measurements: [
      ...job.measurements.filter((known) => !(known.kind === data.kind && known.when === data.when)),
      { ...data, ...stamp },
    ],
  }),
  'proof-recorded': (job, data, stamp) => ({
    proofs: [...job.proofs.filter(({ check }) => check !== data.check), { ...data, ...stamp }],
  }),
  'part-used': (job, data, stamp) => ({ parts: [...job.parts, { ...data, ...stamp }] }),
  'note-made': (job, data, stamp) => ({ notes: [...job.notes, { ...data, ...stamp }] }),
  'stage-passed': (job, { stage }) => ({ passed: job.passed.includes(stage) ? job.passed : [...job.passed, stage] }),
  'handed-over': (job, data, stamp) => ({
    handOver: { ...data, ...stamp },
    status: 'closed',
    passed: job.passed.includes('hand-over') ? job.passed : [...job.passed, 'hand-over'],
  }),
  'job-reopened': (job, data, stamp) => ({
    status: 'open',
    reopened: [...job.reopened, { ...data, ...stamp }],
    passed: job.passed.filter((stage) => stage !== 'hand-over'),
  }),
};

const nextPlace = (job: Job): number =>
  job.items.reduce((highest, { stripOrder }) => Math.max(highest, stripOrder ?? 0), 0) + 1;

/** Plugged openings keep their plug: only the person takes it out. */
/** A need that this job ordered keeps when, and when it came; from the shelf it has neither. */
function orderOf(
  job: Job,
  { needId, state }: EventData['need-ticked'],
  at: string,
): Pick<NeedState, 'orderedAt' | 'arrivedAt'> {
  const before = job.needs.find((each) => each.needId === needId);
  if (state === 'missing' || (state === 'ready' && before?.orderedAt === undefined)) return {};
  const orderedAt = before?.orderedAt ?? at;
  return state === 'ordered' ? { orderedAt } : { orderedAt, arrivedAt: before?.arrivedAt ?? at };
}

function setOpenings(
  openings: readonly JobOpening[],
  ids: readonly string[],
  state: 'open' | 'closed',
): readonly JobOpening[] {
  if (ids.length === 0) return openings;
  return openings.map((opening) =>
    ids.includes(opening.id) && opening.state !== 'plugged' ? { ...opening, state } : opening,
  );
}
