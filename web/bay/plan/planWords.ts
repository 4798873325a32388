// A plan in sentences.
import type { DayClash, DayWay, NotPlanned, WaitUsed, WovenDay } from '../../../core/bay/index.ts';
import { formatMinutes } from '../../../core/quantity/index.ts';
import type { Speaker } from '../../../core/sheet/index.ts';

/** What sentences are made with. */
export interface Saying {
  readonly say: Speaker;
  /** A vehicle by its job: its plate. */
  readonly plate: (jobId: string) => string;
  /** A person by their first name. */
  readonly first: (personId: string) => string;
  /** A stretch in a few words. */
  readonly words: (jobId: string, stretch: string) => string;
}

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
export const inWords = (count: number): string => NUMBERS[count] ?? String(count);

/** How late: minutes, or on which day it will be. */
const lateness = (minutes: number, end: string | undefined, { say }: Saying): string =>
  minutes > LONG && end !== undefined ? `not done before ${say.nearTime(end)}` : `${formatMinutes(minutes)} late`;
/** Longer than this is said by the day, minutes. */
const LONG = 8 * 60;

/** One sentence for the head of the day: it is true, or names the promise that is broken. */
export function daySentence({ ends, clashes, savedMinutes }: WovenDay, saying: Saying): string {
  const { plate } = saying;
  const promised = ends.filter((end) => end.promised !== null);
  const late = clashes.flatMap(({ clash }) => (clash.kind === 'late' ? [clash] : []));
  const kept = promised.length - late.length;
  const saved = savedMinutes >= 5 ? `${formatMinutes(savedMinutes)} saved` : '';
  const [worst] = late;
  if (worst !== undefined) {
    const end = ends.find(({ jobId }) => jobId === worst.job)?.end;
    const how = lateness(worst.end - worst.promised, end, saying);
    const rest = kept === 0 ? '' : `; the other ${kept === 1 ? 'one' : inWords(kept)} as promised`;
    return late.length === 1
      ? `${plate(worst.job)} will be ${how}${rest}.`
      : `${inWords(late.length)} will be late; ${plate(worst.job)} ${how}${rest}.`.replace(/^./, (c) =>
          c.toUpperCase(),
        );
  }
  if (promised.length === 0) return saved === '' ? 'Nothing is promised.' : `Nothing is promised; ${saved}.`;
  const all =
    promised.length === 1
      ? `${plate(promised[0]?.jobId ?? '')} as promised`
      : `All ${inWords(promised.length)} as promised`;
  return saved === '' ? `${all}.` : `${all}; ${saved}.`;
}

const later = (at: string, minutes: number): string => new Date(Date.parse(at) + minutes * 60_000).toISOString();
/** What clashes, as a heading and a line. */
export function clashWords({ clash, at }: DayClash, saying: Saying): { title: string; line: string } {
  const { say, plate, words } = saying;
  const of = plate(clash.job);
  if (clash.kind === 'late')
    return {
      title: `${of} is not done in time`,
      line: `Promised ${say.nearTime(at)}; by this plan it is done ${say.nearTime(later(at, clash.end - clash.promised))}.`,
    };
  if (clash.kind === 'pushed')
    return {
      title: `${of} cannot begin then`,
      line: `${words(clash.job, clash.stretch)} is pinned for ${say.nearTime(at)}, but what comes before it is not done.`,
    };
  const why = {
    'nobody-can': 'nobody here does such work',
    'no-hours': 'nobody who does it is here for long enough in the next two weeks',
    'too-long': 'it is longer than anybody is here in one go',
    'no-bay': 'there is no bay',
  }[clash.why];
  return { title: `${of} finds no place`, line: `${words(clash.job, clash.stretch)}: ${why}.` };
}

/** What a way out does, as a heading and a line. */
export function wayWords(
  { does, until, late }: DayWay,
  { say, plate, first, words }: Saying,
): { title: string; line: string; late: string } {
  const told =
    late.length === 0
      ? 'Nobody waits.'
      : `${late.map(({ job, minutes }) => `${plate(job)} ${formatMinutes(minutes)} late`).join(', ')}.`;
  const time = until === null ? '' : say.nearTime(until);
  switch (does.kind) {
    case 'move-promise':
      return {
        title: `Promise ${plate(does.job)} for ${time}`,
        line: 'The plan stays; the customer is told.',
        late: told,
      };
    case 'first':
      return { title: `${plate(does.job)} goes first`, line: 'It comes before all the others.', late: told };
    case 'ask':
      return {
        title: `Ask ${first(does.person)}`,
        line: `Of ${plate(does.job)}: ${does.stretches.map((id) => words(does.job, id)).join(', ')}.`,
        late: told,
      };
    case 'stay':
      return {
        title: `${first(does.person)} stays until ${time}`,
        line: `${formatMinutes(does.minutes)} longer.`,
        late: told,
      };
    case 'tomorrow':
      return { title: `Leave ${plate(does.job)} for the next day`, line: 'Nobody was promised it before.', late: told };
    case 'let-go':
      return {
        title: 'Let it begin when it can',
        line: `${words(does.job, does.stretch)} is not pinned any more.`,
        late: told,
      };
  }
}

/** A wait that is used: “CW 118 strip, while the body of TQ 417 soaks”. */
export const useWords = ({ job, stretch, otherJob, otherStretch }: WaitUsed, { plate, words }: Saying): string =>
  `${plate(otherJob)} ${words(otherJob, otherStretch)}, while on ${plate(job)}: ${words(job, stretch)}`;

/** Why a vehicle is not in the plan, or not to its end. */
export function notPlannedWords({ jobId, why, part }: NotPlanned, { plate }: Saying): string {
  if (why === 'part-without-day')
    return `${plate(jobId)} waits for ${part.toLowerCase()}, and nobody knows the day. Ask.`;
  return why === 'rests' ? `${plate(jobId)} is put aside.` : `On ${plate(jobId)} nothing is left that takes time.`;
}

/** How likely, as people say it: “9 in 10”. */
export const tenths = (share: number): string =>
  share > 0.985 ? 'as good as sure' : share < 0.05 ? 'hardly' : `${Math.min(9, Math.round(share * 10) || 1)} in 10`;
