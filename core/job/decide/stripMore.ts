import { holdKey } from '../../refit/index.ts';
import { accept, refuse, refuseField } from '../commands.ts';
import { event } from '../events.ts';
import { allNeeds, endSteps } from '../needs.ts';
import { itemOf } from '../query.ts';
import { jobMayStart } from '../tallies.ts';
import { FLAG_NEEDS, FLAGS } from '../stripTypes.ts';
import { type Handlers, nonEmpty, plain, within } from './handlers.ts';

const notHere = (id: string) =>
  refuse('no-such-item', `There is no item “${id}” on this job.`, 'Add it first, by typing its name.');

/** What is found, measured, dropped and held on the way. */
export const stripMore: Handlers<
  | 'move-to-version'
  | 'add-need'
  | 'do-end-step'
  | 'add-opening'
  | 'take-out-rest'
  | 'flag-item'
  | 'settle-flag'
  | 'keep-measure'
  | 'restore-measure'
  | 'drop-object'
  | 'end-search'
  | 'override-hold'
  | 'lay-out-tray'
  | 'name-pocket'
> = {
  'move-to-version': (job, data, { procedure }) => {
    if (job.procedure === null || job.procedure.id !== data.procedureId)
      return refuse('not-this-procedure', 'This job works by another procedure.', 'Choose the procedure at Prepare.');
    if (procedure === null || procedure.version !== data.version)
      return refuse('no-such-procedure', 'That version is not in the library.');
    return procedure.version === job.procedure.version
      ? refuse('already-there', `The job works by version ${procedure.version} already.`)
      : accept(event('procedure-moved', { procedure }));
  },
  'add-need': (job, { need }) =>
    nonEmpty('name', need.name, 'What is needed?') ??
    (allNeeds(job).some(({ id }) => id === need.id)
      ? refuse('already-there', `${need.name} is on the list already.`)
      : accept(event('need-added', { need: { ...need, name: need.name.trim() } }))),
  'do-end-step': (job, data) => {
    const step = endSteps(job).find(({ need }) => need.id === data.needId);
    if (step === undefined) return refuse('not-there', 'Nothing of that kind was done first.');
    return step.done ? refuse('already-there', `Done already: ${step.words}.`) : accept(event('end-step-done', data));
  },
  'add-opening': (job, data) => {
    if (itemOf(job, data.itemId) === undefined) return notHere(data.itemId);
    const missing = nonEmpty('name', data.opening.name, 'What does it leave open?');
    if (missing) return missing;
    return job.openings.some(({ id }) => id === data.opening.id)
      ? refuse('already-there', `${data.opening.name} is listed already.`)
      : accept(event('opening-added', { ...data, opening: { ...data.opening, name: data.opening.name.trim() } }));
  },
  'take-out-rest': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    return item.stayingIn > 0
      ? accept(event('rest-taken-out', data))
      : refuse('not-there', `${item.name}: none were left in.`);
  },
  'flag-item': (job, { partNumber, needId, ...data }) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    if (data.needs === 'note' || data.needs === 'repair') {
      const missing = nonEmpty('text', data.text, `Say what ${FLAG_NEEDS[data.needs].toLowerCase()} should cover.`);
      if (missing) return missing;
    }
    if (data.needs !== 'part') return accept(event('item-flagged', { ...data, needId: null }));
    if (allNeeds(job).some(({ id }) => id === needId)) return refuse('already-there', 'That is on the list already.');
    return accept(
      event('need-added', {
        need: {
          id: needId,
          kind: 'part',
          name: item.name,
          partNumber: partNumber.trim() || item.partNumber,
          note: `${FLAGS[data.flag].toLowerCase()}${data.text === '' ? '' : `: ${data.text}`}`,
          caution: null,
        },
      }),
      event('need-ticked', { needId, state: 'missing', expected: null }),
      event('item-flagged', { ...data, needId }),
    );
  },
  'settle-flag': (job, data) => {
    const flag = itemOf(job, data.itemId)?.flag ?? null;
    if (flag === null || flag.settled !== null) return refuse('not-there', 'Nothing is open there.');
    return nonEmpty('how', data.how, 'How was it settled?') ?? accept(event('flag-settled', data));
  },
  'keep-measure': (job, data) =>
    itemOf(job, data.itemId) === undefined
      ? notHere(data.itemId)
      : (nonEmpty('text', data.text, 'What is the measure or mark?') ?? accept(event('measure-kept', data))),
  'restore-measure': (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    return item.kept.some(({ kind }) => kind === data.kind)
      ? accept(event('measure-restored', data))
      : refuse('not-there', 'Nothing of that kind was measured before.');
  },
  'drop-object': (job, data) =>
    nonEmpty('what', data.what, 'What was dropped?') ??
    nonEmpty('where', data.where, 'Where was it last seen or heard?') ??
    (job.searches.some(({ id }) => id === data.id)
      ? refuse('already-there', 'That is looked for already.')
      : plain('object-dropped')(job, data)),
  'end-search': (job, data, { role }) => {
    const search = job.searches.find(({ id }) => id === data.id);
    if (search === undefined || search.ended !== null)
      return refuse('not-there', 'Nothing of that kind is looked for.');
    if (data.outcome === 'accepted' && role !== 'lead')
      return refuse(
        'lead-only',
        'Only a lead may accept that it stays lost.',
        'Ask the lead to look and to enter it under their own name.',
      );
    return (
      nonEmpty(
        'where',
        data.where,
        data.outcome === 'found' ? 'Where was it found?' : 'Where can it be, and why is that safe?',
      ) ?? accept(event('search-ended', data))
    );
  },
  'override-hold': (job, data, { role }) => {
    const verdict = jobMayStart(job);
    if (verdict.may) return refuse('not-held', 'Nothing holds the engine.');
    if (role !== 'lead')
      return refuse(
        'lead-only',
        'Only a lead may let the engine start while something holds it.',
        'Ask the lead to look and to enter it under their own name.',
      );
    const holds = verdict.holds.filter((hold) => data.keys.includes(holdKey(hold)));
    if (holds.length === 0) return refuse('not-there', 'None of that holds the engine now.');
    return (
      nonEmpty('reason', data.reason, 'Say why it may start all the same: the sheet carries it.') ??
      accept(event('hold-overridden', { holds, reason: data.reason.trim() }))
    );
  },
  'lay-out-tray': (_, data) =>
    within('rows', data.rows, 1, 12) ??
    within('columns', data.columns, 1, 12) ??
    (Number.isInteger(data.rows) && Number.isInteger(data.columns)
      ? accept(event('tray-laid-out', data))
      : refuseField('rows', 'Expected whole numbers of rows and columns.')),
  'name-pocket': (_, data) =>
    nonEmpty('pocket', data.pocket, 'Which pocket?') ??
    accept(event('pocket-named', { ...data, name: data.name.trim() })),
};
