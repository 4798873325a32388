import type { Deed, PracticeAnswer, PracticeDeed, PracticeEntry, PracticeStanding } from '../../contract/index.ts';
import { type KeyState, type Knowledge, signsFor } from '../../core/diagnose/index.ts';
import { type Job, jobMayStart } from '../../core/job/index.ts';
import {
  answerOf,
  type HandAnswer,
  type Handled,
  handle,
  type HandDeed,
  inPlaceOf,
  isOpenToHands,
  look,
  UNTOUCHED,
} from '../../core/practice/index.ts';
import { PracticeError } from './errors.ts';
import { PRACTICE_LINK, type World } from './world.ts';

/** What of a deed the engine itself notices. */
const AT_THE_ENGINE: Readonly<Partial<Record<HandDeed, Deed>>> = {
  'key-off': 'off',
  'key-on': 'key-on',
  run: 'start',
  blip: 'blip',
  'lights-on': 'loads',
  sweep: 'sweep',
};
const KEY_AFTER: Readonly<Partial<Record<HandDeed, 'off' | 'on' | 'run'>>> = {
  'key-off': 'off',
  'key-on': 'on',
  sweep: 'on',
  run: 'run',
  blip: 'run',
  'lights-on': 'run',
};

/** How a check wants the key. */
const HAND_FOR: Readonly<Record<KeyState, HandDeed>> = {
  'key off': 'key-off',
  'key on, engine off': 'key-on',
  'engine running': 'run',
  driving: 'run',
};

/** Why the engine may not run, in words. */
function heldBy(job: Job): readonly string[] {
  const verdict = jobMayStart(job);
  return verdict.may ? [] : verdict.holds.map(({ words }) => words);
}

/** How the vehicle answers a hand, as things stand. */
function handOn({ vehicle, job }: World, deed: HandDeed, entries: readonly PracticeEntry[]): HandAnswer {
  return handle(deed, { group: vehicle.group, ...standing(entries, job), held: heldBy(job) });
}

/** The engine behind the adapter goes along. */
function atTheEngine({ services }: World, deed: HandDeed): void {
  const atEngine = AT_THE_ENGINE[deed];
  if (atEngine !== undefined) services.hub.act(PRACTICE_LINK, atEngine);
}

/** What comes of a deed. @throws PracticeError for what this vehicle does not have */
export function answerDeed(
  world: World,
  deed: PracticeDeed,
  entries: readonly PracticeEntry[],
  knowledge: Knowledge,
): PracticeAnswer | null {
  const { vehicle } = world;
  switch (deed.kind) {
    case 'look': {
      const sign = signsFor(knowledge, vehicle).find((each) => each.id === deed.sign && each.kind === 'check');
      const met = sign === undefined ? null : look(world.vehicleNow(), deed.sign);
      const turned = HAND_FOR[sign?.method?.key ?? 'key off'];
      if (met === null) throw new PracticeError('no-such-scenario', 'There is no such check for this vehicle.');
      // A check turns the key as it needs it, and that is answered as if a hand had turned it.
      const key = handOn(world, turned, entries);
      if (key.stopped) return { said: key.words, hand: key };
      atTheEngine(world, turned);
      return { met, key: KEY_AFTER[turned] };
    }
    case 'ask': {
      const said = answerOf(vehicle, knowledge, deed.sign);
      if (said === null) throw new PracticeError('no-such-scenario', 'That is nothing that a customer could answer.');
      return { said };
    }
    case 'hand': {
      const hand = handOn(world, deed.deed, entries);
      if (hand.stopped) return { hand };
      atTheEngine(world, deed.deed);
      return { hand, key: KEY_AFTER[deed.deed] };
    }
    case 'mend': {
      const cause = knowledge.causes.find((each) => each.id === deed.cause);
      if (cause === undefined || inPlaceOf(cause) === null)
        throw new PracticeError('no-such-scenario', 'That is not put right where it sits.');
      return { said: 'Done, as the maker says.' };
    }
    case 'tags':
    case 'ranking':
      return null;
  }
}

/** What hands have done so far. */
export const handledBy = (entries: readonly PracticeEntry[]): Handled =>
  entries.reduce<Handled>((so, { kind, what, answer }) => {
    if (kind === 'mend') return { ...so, mended: [...so.mended, what] };
    if (kind !== 'hand' || answer?.hand?.changed !== true) return so;
    if (what === 'rag-in' || what === 'rag-out') return { ...so, ragIn: what === 'rag-in' };
    return what === 'spray-sensor' ? { ...so, sensorSprayed: true } : so;
  }, UNTOUCHED);

/** What a deed is about, in a word. */
export function whatOf(deed: PracticeDeed): string {
  switch (deed.kind) {
    case 'look':
    case 'ask':
      return deed.sign;
    case 'hand':
      return deed.deed;
    case 'mend':
      return deed.cause;
    case 'tags':
    case 'ranking':
      return '';
  }
}

const changing = (entries: readonly PracticeEntry[]): PracticeEntry[] =>
  entries.filter(({ kind, answer }) => kind === 'hand' && answer?.hand?.changed === true);
/** How the key stands: as the last thing that turned it left it. */
const keyOf = (entries: readonly PracticeEntry[]): 'off' | 'on' | 'run' =>
  entries.findLast(({ answer }) => answer?.key !== undefined)?.answer?.key ?? 'off';

/** How things stand where hands are. */
export const standing = (entries: readonly PracticeEntry[], job: Job): PracticeStanding => ({
  ragIn: handledBy(entries).ragIn,
  handAtPlate: changing(entries).reduce(
    (is, { what }) => (what === 'hand-at-plate' ? true : what === 'hand-away' ? false : is),
    false,
  ),
  open: isOpenToHands(
    job,
    entries.flatMap(({ kind, what, answer }) => (kind === 'look' && answer?.met !== undefined ? [what] : [])),
  ),
  key: keyOf(entries),
});
