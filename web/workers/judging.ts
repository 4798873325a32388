import { askedPrices, flipChance, flipPrice, worthOfChecks } from '../../core/choose/index.ts';
import {
  causesFor,
  FIXED_ORDER,
  type Knowledge,
  scoreByGain,
  scoreByList,
  signsFor,
  summarise,
} from '../../core/diagnose/index.ts';
import type { StoredCase } from '../../contract/index.ts';
import type { CaseScore, JudgingAnswer, JudgingTask } from './judgingProtocol.ts';

// Wiring only: what a check is worth and how cases come out is worked out in core.
const versions = new Map<number, Knowledge>();
const answer = (message: JudgingAnswer): void => postMessage(message);

function score(
  knowledge: Knowledge,
  cases: readonly StoredCase[],
  minutePrice: number,
  each: () => void,
): CaseScore | null {
  if (cases.length === 0) return null;
  const guided = cases.map((one) => {
    each();
    return scoreByGain(knowledge, one, minutePrice);
  });
  const list = cases.map((one) => scoreByList(knowledge, one, FIXED_ORDER));
  return {
    guided: summarise(guided),
    list: summarise(list),
    // What is set apart is shown as sums only: a case that is looked at is one to work with.
    cases: cases.flatMap(({ id, title, truth, apart }, index) =>
      apart
        ? []
        : [
            {
              id,
              title,
              truth,
              placeTold: guided[index]?.placeTold ?? 0,
              placeAll: guided[index]?.placeAll ?? 0,
              checks: guided[index]?.checksToLead ?? 0,
              minutes: guided[index]?.minutesToLead ?? 0,
              listMinutes: list[index]?.minutesToLead ?? 0,
            },
          ],
    ),
  };
}

addEventListener('message', ({ data: task }: MessageEvent<JudgingTask>) => {
  if (task.kind === 'knowledge') {
    versions.set(task.knowledge.version, task.knowledge);
    return;
  }
  const knowledge = versions.get(task.version);
  if (knowledge === undefined) return;
  if (task.kind === 'worth') {
    const { id, subject, findings, choose, minutePrice, reached, passedOver } = task;
    const worths = worthOfChecks({
      choose,
      causes: causesFor(knowledge, subject),
      findings,
      checks: signsFor(knowledge, subject).filter(({ kind }) => kind === 'check'),
      minutePrice,
      reached,
      passedOver,
    });
    answer({
      kind: 'worth',
      id,
      worths: worths.map(({ proposal, worthMinor, savesMinor, turns, opens }) => ({
        sign: proposal.sign.id,
        worthMinor,
        savesMinor,
        turns,
        opens,
      })),
    });
    return;
  }
  if (task.kind === 'flips') {
    const { id, choose, priceOf, chanceOf } = task;
    answer({
      kind: 'flips',
      id,
      price: priceOf === null ? null : flipPrice(choose, priceOf),
      chance: chanceOf === null ? null : flipChance(choose, chanceOf),
      asked: askedPrices(choose),
    });
    return;
  }
  const { id, cases, minutePrice } = task;
  let done = 0;
  const each = (): void => answer({ kind: 'scored', id, done: (done += 1), of: cases.length });
  answer({
    kind: 'score',
    id,
    work: score(
      knowledge,
      cases.filter(({ apart }) => !apart),
      minutePrice,
      each,
    ),
    apart: score(
      knowledge,
      cases.filter(({ apart }) => apart),
      minutePrice,
      each,
    ),
  });
});
