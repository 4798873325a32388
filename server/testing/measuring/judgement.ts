import { type Case, type CaseResult, type Rate, rank, causesFor, type Score } from '../../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { firstAccepted } from '../../../demo/cases/first.ts';
import { APART_CASES, casesFor, CHANGED_APART, scoreCases, WORK_CASES } from '../../../demo/cases/index.ts';
import type { WrittenCase } from '../../../demo/cases/written.ts';
import { APART, CHANGED_APART as CHANGED_PHRASES, scorePhrases, WORK } from '../../../demo/phrases/score.ts';
import type { Phrase } from '../../../demo/phrases/phrase.ts';
import { rateOf } from '../../../core/diagnose/index.ts';
import { shop } from '../../../demo/shop.ts';
import type { LineCase } from '../../../demo/lines/lineCase.ts';
import { APART_LINES, scoreLines, WORK_LINES } from '../../../demo/lines/score.ts';
import type { Measured } from './measure.ts';

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
const within = ({ hits, of, rate, low, high }: Rate): string =>
  `${percent(rate)} (${Math.round(low * 100)} to ${Math.round(high * 100)}), ${hits} of ${of}`;
const record = (what: string, measured: string): Measured => ({ what, measured, wanted: 'for the record', met: true });
const bar = (what: string, rate: Rate, least: number, unless: boolean): Measured =>
  unless
    ? record(what, within(rate))
    : { what, measured: within(rate), wanted: `≥ ${Math.round(least * 100)} %`, met: rate.rate >= least };

const share = (results: readonly CaseResult[], test: (result: CaseResult) => boolean): Rate =>
  rateOf(results.filter(test).length, results.length);

/** Aims hold for what was set apart; what is worked with is for the record. */
function cases(title: string, written: readonly WrittenCase[], apart: boolean): Measured[] {
  const minutePrice = Number(shop.settings['rate-per-hour-minor']) / 60;
  const { gain, list, results } = scoreCases(SHIPPED_KNOWLEDGE, minutePrice, written);
  const fewer = 1 - gain.meanMinutes / list.meanMinutes;
  const accepted = firstAccepted(SHIPPED_KNOWLEDGE, casesFor(SHIPPED_KNOWLEDGE, written));
  return [
    bar(`${title}: first three, all looked at`, gain.amongThree, 0.92, !apart),
    bar(
      '… when checking ends',
      share(results, ({ placeEnd }) => placeEnd <= 3),
      0.92,
      !apart,
    ),
    record('… first, all looked at', within(gain.first)),
    record('… first three, from what was told', within(share(results, ({ placeTold }) => placeTold <= 3))),
    bar('… shares ≥ 90 % that were right', gain.sure, 0.9, !apart),
    record('… pairs named, “nothing fits” said', within(gain.named)),
    bar('… first step a technician accepts', rateOf(accepted.filter(Boolean).length, accepted.length), 0.8, !apart),
    record('… reliability by bands', reliability(gain)),
    record('… Brier score', gain.brier.toFixed(2)),
    record('… one finding dropped turns the lead', within(gain.turned)),
    {
      what: '… minutes until it leads',
      measured: `${gain.meanMinutes.toFixed(0)}, list ${list.meanMinutes.toFixed(0)}: ${percent(fewer)} fewer`,
      wanted: apart ? '≥ 40 % fewer' : 'for the record',
      met: !apart || fewer >= 0.4,
    },
  ];
}

const reliability = ({ reliability: bands }: Score): string =>
  bands
    .filter(({ right }) => right.of > 0)
    .map(({ meanShare, right }) => `${Math.round(meanShare * 100)}: ${Math.round(right.rate * 100)} (${right.of})`)
    .join(', ');

/** What was heard wrongly is put beside what the sentence says: does another cause lead? */
function turned(phrases: readonly Phrase[]): number {
  const { results } = scorePhrases(SHIPPED_KNOWLEDGE, phrases);
  const models = causesFor(SHIPPED_KNOWLEDGE, { group: 'cable', hasValve: true });
  const findings = (list: readonly string[]): Case['told'] =>
    list
      .filter((each) => /^[a-z-]+=/.test(each))
      .map((each) => {
        const [sign = '', outcome = ''] = each.split('=');
        return { sign, outcome };
      });
  return results.filter(({ phrase, wrong }) => {
    const [said, heard] = [findings(phrase.must), findings([...phrase.must, ...wrong])];
    if (findings(wrong).length === 0) return false;
    return rank(models, said).causes[0]?.id !== rank(models, heard).causes[0]?.id;
  }).length;
}

function sentences(title: string, phrases: readonly Phrase[], apart: boolean): Measured[] {
  const { recall, precision } = scorePhrases(SHIPPED_KNOWLEDGE, phrases);
  const changed = turned(phrases);
  return [
    bar(`${title}: of what is said, heard`, recall, 0.9, !apart),
    bar('… of what is heard, right', precision, 0.97, !apart),
    {
      what: '… mishearings that change what leads',
      measured: String(changed),
      wanted: apart ? '0' : 'for the record',
      met: !apart || changed === 0,
    },
  ];
}

function lines(title: string, cases: readonly LineCase[], apart: boolean): Measured[] {
  const { whole, recall, precision } = scoreLines(cases);
  return [
    record(`${title}: read whole`, within(whole)),
    bar('… of what is said of them, read', recall, 0.9, !apart),
    bar('… of what is read, right', precision, 0.95, !apart),
  ];
}

/** How well the program judges and hears, on what it was made with and on what was set apart before. */
export const judging = (): Measured[] => [
  ...cases(`${APART_CASES.length} cases set apart`, APART_CASES, true),
  ...cases(`${WORK_CASES.length} cases to work with`, WORK_CASES, false),
  ...sentences(`${APART.length} sentences set apart`, APART, true),
  ...sentences(`${WORK.length} sentences to work with`, WORK, false),
  ...lines(`${APART_LINES.length} lines of what came off, set apart`, APART_LINES, true),
  ...lines(`${WORK_LINES.length} lines to work with`, WORK_LINES, false),
  record('set apart and changed since', String(CHANGED_APART.length + CHANGED_PHRASES.length)),
];
