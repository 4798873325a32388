import { line, oneOf, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { when } from '../shapes.ts';
import { condition, conditionWords } from './conditions.ts';
import { held } from './held.ts';
import { ownLine, type TriedVerdict, VERDICT_WORDS } from './line.ts';
import { lineOf } from './lines.ts';

/** What {@link lineTried} holds. */
export const lineTriedShape = record({
  /** The line of the proof that was tried. */
  line,
  /** How it read. */
  words: line,
  verdict: oneOf('gone', 'still there', 'worse', 'good', 'failed'),
  /** What it did, in words or a figure; empty where there is nothing to say. */
  came: line,
  ...condition,
});
/** A line of the complaint, a check, or something of one’s own was tried again after the work. */
export const lineTried = fact('line-tried', {
  shape: lineTriedShape,
  means: (job, data, stamp) => ({
    tried: [...job.tried.filter((known) => known.line !== data.line), { ...data, ...stamp }],
  }),
  words: ({ words, verdict, ...under }) =>
    [`${words}: ${VERDICT_WORDS[verdict]}`, conditionWords(under)].filter(Boolean).join(', '),
  putRight: {
    anew: {
      command: 'try-line',
      from: (data) => data,
      fields: {
        verdict: {
          label: 'It is',
          choices: {
            gone: 'Gone',
            'still there': 'Still there',
            worse: 'Worse',
            good: 'As it should be',
            failed: 'Not right',
          },
        },
        came: { label: 'What it did' },
      },
    },
  },
  sheet: 'Proved',
});

const BAD: ReadonlySet<TriedVerdict> = new Set<TriedVerdict>(['still there', 'worse', 'failed']);

/** Tries a line of the proof again. A line that is not among those of the job is one of the person’s own. */
export const tryLine = command('try-line', {
  shape: lineTriedShape,
  decide: (job, data) => {
    const own = data.line.startsWith(OWN);
    const known = own ? null : lineOf(job, data.line);
    if (!own && known === null) return refuse('no-such-line', 'That is not a line of this proof.');
    if (known !== null && !known.byHand)
      return refuse('shown-by-record', `${known.name}: what is read, measured or looked at says it.`, '', known.at);
    const wrong =
      (own ? nonEmpty('words', data.words, 'What was tried?') : null) ??
      (BAD.has(data.verdict) ? nonEmpty('came', data.came, 'Say what it did.') : null) ??
      // What is only looked at needs no engine.
      (own && data.state === undefined && data.place === undefined ? null : held(job));
    if (wrong) return wrong;
    const words = known?.name ?? data.words.trim();
    return accept(lineTried.of({ ...data, words, line: own ? ownLine(words) : data.line, came: data.came.trim() }));
  },
});

const OWN = 'own:';

/** What {@link toolSaid} holds. */
export const toolSaidShape = record({ what: line, when, said: line });
/** What the maker’s tool said of something, before or after. */
export const toolSaid = fact('tool-said', {
  shape: toolSaidShape,
  means: (job, data, stamp) => ({
    toolSays: [
      ...job.toolSays.filter(
        ({ what, when: phase }) => !(phase === data.when && what.toLowerCase() === data.what.toLowerCase()),
      ),
      { ...data, ...stamp },
    ],
  }),
  words: (data) => `${data.what}, ${data.when}: ${lowerFirst(data.said)}`,
  putRight: {
    anew: { command: 'note-tool-said', from: (data) => data, fields: { said: { label: 'What the tool said' } } },
  },
  sheet: 'Proved',
});

/** Keeps what the maker’s tool said. */
export const noteToolSaid = command('note-tool-said', {
  shape: toolSaidShape,
  decide: (_, data) =>
    nonEmpty('what', data.what, 'What was read with it?') ??
    nonEmpty('said', data.said, 'What did the tool say?') ??
    accept(toolSaid.of({ ...data, what: data.what.trim(), said: data.said.trim() })),
});
