import { describe, expect, it } from 'vitest';
import { editKnowledge, type KnowledgeEdit } from '../diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../diagnose/knowledge/index.ts';
import type { CommandBody } from '../job/index.ts';
import { play } from '../job/testing/play.ts';
import { open } from '../job/testing/samples.ts';
import { decided, estimate } from '../job/testing/steps.ts';
import type { Procedure } from '../procedure/index.ts';
import { STARTER_RECIPES } from '../relearn/index.ts';
import { besideOurs, chapterOf, editWords, fingerprintWords } from './index.ts';

const HAND_OVER: CommandBody = {
  type: 'hand-over',
  data: { watch: 'listen for a whistle', nextDue: null, labourMinutes: 90, ratePerHourMinor: 5800, currency: 'cr' },
};
const told = (...more: CommandBody[]) =>
  chapterOf(play([open, ...more]).job!, new Map([['tomas', 'technician']]), 'UTC');

describe('a chapter', () => {
  it('says what the sheet says, but neither who owns it, nor who did it, nor what it cost', () => {
    const chapter = told(
      { type: 'use-part', data: { id: 'p', name: 'Gasket', partNumber: 'G-1', quantity: 1, priceMinor: 640 } },
      { type: 'decide', data: { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] } },
      HAND_OVER,
    );
    expect(chapter).toMatchObject({ title: 'Clean on the bench', hours: false });
    const text = JSON.stringify(chapter);
    expect(text).toContain('listen for a whistle');
    expect(text).toContain('Gasket');
    for (const private_ of ['Time and money', 'Tomas', '58', '6.40', 'Customer']) expect(text).not.toContain(private_);
  });
  it('leaves out what was offered for how much, and who approved it', () => {
    const answer = {
      id: 'e',
      answer: 'up to',
      limitMinor: 2800,
      who: 'Ms Brandt',
      how: 'telephone',
      note: '',
    } as const;
    const chapter = JSON.stringify(
      told(decided, { type: 'make-estimate', data: estimate }, { type: 'answer-estimate', data: answer }, HAND_OVER),
    );
    expect(chapter).not.toContain('Brandt');
    expect(chapter).not.toContain('Estimate');
  });
  it('is none of a job that is open, or was called off', () => {
    expect(told()).toBeNull();
    expect(told({ type: 'cancel-job', data: { why: 'sold' } })).toBeNull();
  });
});

describe('know-how beside ours', () => {
  const procedure = {
    id: 'p',
    version: 3,
    name: 'Clean',
    family: 'one',
    source: null,
    items: [],
    openings: [],
    constraints: [],
    needs: [],
    coolant: null,
    relearn: [],
  } as Procedure;
  const here = { procedure: () => null, recipe: () => null, knowledge: SHIPPED_KNOWLEDGE };
  const [cause] = SHIPPED_KNOWLEDGE.causes;
  const common: KnowledgeEdit = { kind: 'common', cause: cause!.id, group: 'cable', to: 'rare' };
  const nothing = { procedures: [], recipes: [], edits: [] };

  it('is new, the same, or differs line by line', () => {
    const theirs = { ...nothing, procedures: [{ ...procedure, name: 'Clean, off' }] };
    expect(besideOurs(theirs, here)).toEqual([{ key: 'procedure:p', name: 'Clean, off', state: 'new', lines: [] }]);
    const [differs] = besideOurs(theirs, { ...here, procedure: () => procedure });
    expect(differs).toMatchObject({ state: 'differs' });
    expect(differs!.lines.join()).toContain('Clean → Clean, off');
    // A version is how often it was saved, not what it says.
    expect(besideOurs({ ...nothing, procedures: [{ ...procedure, version: 9 }] }, { ...here, procedure: () => procedure })[0]?.state).toBe('same'); // prettier-ignore
  });
  it('tells of recipes which part is another', () => {
    const [recipe] = STARTER_RECIPES;
    const theirs = { ...nothing, recipes: [{ ...recipe!, version: 4, steps: [] }] };
    expect(besideOurs(theirs, { ...here, recipe: () => recipe! })).toMatchObject([
      { state: 'differs', lines: ['other steps'] },
    ]);
    // A file may write its fields in another order.
    const turned = Object.fromEntries(Object.entries(recipe!).toReversed()) as unknown as typeof recipe;
    expect(besideOurs({ ...nothing, recipes: [turned!] }, { ...here, recipe: () => recipe! })[0]?.state).toBe('same');
  });
  it('tells of each change of the knowledge what is said here and there', () => {
    const [differs] = besideOurs({ ...nothing, edits: [common] }, here);
    expect(differs).toMatchObject({
      key: 'edit:0',
      state: 'differs',
      lines: [`here ${cause!.common.cable}, there rare`],
    });
    const edited = editKnowledge(SHIPPED_KNOWLEDGE, [common]);
    expect(edited.ok && besideOurs({ ...nothing, edits: [common] }, { ...here, knowledge: edited.knowledge })[0]?.state).toBe('same'); // prettier-ignore
    expect(besideOurs({ ...nothing, edits: [{ ...common, cause: 'no-such' }] }, here)[0]).toMatchObject({
      state: 'does-not-fit',
      lines: ['There is no cause “no-such”.'],
    });
  });
  it('says every kind of change in words', () => {
    const sign = SHIPPED_KNOWLEDGE.signs.find(({ method }) => method !== null)!;
    const row = cause!.shows[0]!;
    const outcome = sign.outcomes[0]!.id;
    const edits: KnowledgeEdit[] = [
      { kind: 'likelihood', cause: cause!.id, ...row },
      { kind: 'cure', cause: cause!.id, ...cause!.cures[0]! },
      common,
      { kind: 'minutes', sign: sign.id, minutes: 7 },
      { kind: 'group', id: 'g', name: 'Heard', signs: [sign.id], why: 'one sound' },
      { kind: 'code', code: 'P1506', meaning: 'idle air, maker’s own', sign: null, outcome: null },
      { kind: 'phrase', phrase: 'goes to sleep', sign: sign.id, outcome },
      { kind: 'forget-code', code: 'P1506' },
      { kind: 'forget-phrase', phrase: 'goes to sleep' },
    ];
    const words = edits.map((edit) => editWords(edit, SHIPPED_KNOWLEDGE));
    expect(words.every(({ about, says }) => about !== '' && says !== '')).toBe(true);
    expect(new Set(words.map(({ about }) => about)).size).toBe(8);
    expect(words[0]!.now).toBe(row.word);
    expect(words[3]).toMatchObject({ says: '7 min', now: `${sign.method!.minutes} min` });
  });
});

it('a key is compared in groups of four', () => {
  expect(fingerprintWords('4f2a91c077de03b5ffff')).toBe('4f2a 91c0 77de 03b5');
});
