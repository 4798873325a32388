import { id, line, oneOf, optional, record } from '../../shape/index.ts';
import { format } from '../../quantity/index.ts';
import { parseDtc } from '../../vehicle/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { codeStands } from '../proof/codesStand.ts';
import { liveValues, reading, when } from '../shapes.ts';

/** What {@link codeRead} holds. */
export const codeReadShape = record({
  id,
  code: line,
  status: oneOf('stored', 'pending', 'permanent', 'cleared', 'ours'),
  when,
  note: line,
});
/** A trouble code was read. */
export const codeRead = fact('code-read', {
  shape: codeReadShape,
  // Read again, it stands as it was read last.
  means: (job, data, stamp) => ({
    codes: [
      ...job.codes.filter(({ code, when }) => !(code === data.code && when === data.when)),
      { ...data, ...stamp },
    ],
  }),
  words: (data) => `${data.code} read`,
  putRight: {
    anew: {
      command: 'read-code',
      from: (data) => data,
      fields: {
        code: { label: 'Code' },
        status: {
          label: 'Status',
          choices: {
            stored: 'Stored',
            pending: 'Pending',
            permanent: 'Permanent',
            cleared: 'Cleared',
            ours: 'Set by our own unplugging',
          },
        },
        note: { label: 'Note' },
      },
    },
  },
  sheet: 'Complaint',
});

/** Notes a trouble code. */
export const readCode = command('read-code', {
  shape: codeReadShape,
  decide: (job, data) => {
    const parsed = parseDtc(data.code);
    if (!parsed.ok) return refuseField('code', parsed.message);
    const { code } = parsed.dtc;
    const known = job.codes.find((read) => read.code === code && read.when === data.when);
    const stands = known !== undefined && (known.when === 'before' || codeStands(job, known));
    return stands ? refuse('already-there', `${code} is already noted.`) : accept(codeRead.of({ ...data, code }));
  },
});

/** What {@link codesReadOut} holds. */
export const codesReadOutShape = record({
  when,
  /** How far it was driven since codes were cleared; left out where nobody said. */
  driven: optional(reading),
});
/** Codes were read to the end: what was not read is not there. */
export const codesReadOut = fact('codes-read-out', {
  shape: codesReadOutShape,
  means: (job, { when, driven }, stamp) => ({
    codesRead: { ...job.codesRead, [when]: { ...stamp, ...(driven === undefined ? {} : { driven }) } },
  }),
  words: ({ when, driven }) =>
    `Codes read ${when}${driven === undefined ? '' : `, ${format(driven)} after they were cleared`}`,
  putRight: {},
  sheet: 'Proved',
});

/** Says that all codes were read. */
export const readCodesOut = command('read-codes-out', {
  shape: codesReadOutShape,
  decide: (_, data) =>
    (data.driven === undefined ? null : within('driven', data.driven.value, 0, 100_000, data.driven.unit)) ??
    accept(codesReadOut.of(data)),
});

/** What {@link frameRead} holds. */
export const frameReadShape = record({ id, code: line, values: liveValues });
/** A freeze frame: what the engine did when the code was set. */
export const frameRead = fact('frame-read', {
  shape: frameReadShape,
  means: (job, data, stamp) => ({
    frames: [...job.frames.filter(({ code }) => code !== data.code), { ...data, ...stamp }],
  }),
  words: (data) => `Freeze frame of ${data.code}`,
  putRight: {},
  sheet: 'Complaint',
});

/** Notes a freeze frame. */
export const readFrame = command('read-frame', {
  shape: frameReadShape,
  decide: (_, data) => {
    const parsed = parseDtc(data.code);
    if (!parsed.ok) return refuseField('code', parsed.message);
    return accept(frameRead.of({ ...data, code: parsed.dtc.code }));
  },
});

/** What {@link valuesRead} holds. */
export const valuesReadShape = record({ id, when, values: liveValues, from: line });
/** Live values were read. */
export const valuesRead = fact('values-read', {
  shape: valuesReadShape,
  means: (job, data, stamp) => ({ values: [...job.values, { ...data, ...stamp }] }),
  words: (data) => `Live values read ${data.when}`,
  putRight: {},
  sheet: { no: 'they are weighed as findings and drawn at Prove' },
});

/** Notes live values. */
export const readValues = command('read-values', {
  shape: valuesReadShape,
  decide: (_, data) =>
    data.values.length === 0
      ? refuse('nothing-read', 'No value was read.', 'Is the key on, and the adapter plugged in?')
      : accept(valuesRead.of(data)),
});
