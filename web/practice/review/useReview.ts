import { computed, onMounted, ref, shallowRef } from 'vue';
import { findingWords, type Knowledge, signsFor } from '../../../core/diagnose/index.ts';
import { type Review, stepKey, type WayStep } from '../../../core/practice/index.ts';
import { OPTIONS, type OptionId } from '../../../core/choose/index.ts';
import { UNIT_KINDS, type UnitObjectKind } from '../../../core/vehicle/index.ts';
import { readPracticeKnowledge, readPracticeLog, readReview, useReview as useReviewRead } from '../../data/practice.ts';
import { replay } from '../../stores/engine.ts';
import { useShop } from '../../stores/shop.ts';
import { useReviewing } from '../../workers/useReviewing.ts';

/** What a minute costs when the shop has set no rate: as everywhere that a plan is made. */
const NOMINAL_RATE = 6000;

/** A practice job that is ended, with both ways worked out. */
export function useReview(id: () => string) {
  const shop = useShop();
  const { data: told, failed, reload } = useReviewRead(id);
  const review = shallowRef<Review | null>(null);
  const knowledge = shallowRef<Knowledge | null>(null);
  const problem = ref('');
  const { ask } = useReviewing((found) => (review.value = found));

  async function workOut(): Promise<void> {
    try {
      const ended = await readReview(id());
      const [{ events }, known] = await Promise.all([
        readPracticeLog(id()),
        readPracticeKnowledge(id(), ended.knowledge),
      ]);
      knowledge.value = known;
      const { ratePerHourMinor, dayPriceMinor, comebackMinor } = shop.settings;
      const job = replay(id(), events);
      if (job === null) throw new Error('The log of this practice job is empty: nothing can be compared.');
      ask({
        job,
        scenario: ended.scenario,
        done: ended.entries.flatMap(({ at, kind, what, answer }) =>
          (kind === 'look' && answer?.met !== undefined) || kind === 'ask' || kind === 'mend'
            ? [{ at, kind, what }]
            : [],
        ),
        knowledge: known,
        rates: { ratePerHourMinor: ratePerHourMinor || NOMINAL_RATE, dayPriceMinor, comebackMinor },
      });
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
    }
  }
  onMounted(() => void workOut());

  const signs = computed(() =>
    knowledge.value === null || told.value === null
      ? []
      : signsFor(knowledge.value, {
          group: told.value.scenario.group,
          hasValve: true,
        }),
  );
  const causeName = (cause: string): string => knowledge.value?.causes.find((each) => each.id === cause)?.name ?? cause;
  /** A step in few words. */
  function stepName({ kind, id: step }: Pick<WayStep, 'kind' | 'id'>): string {
    if (kind === 'read') return 'Codes read';
    if (kind !== 'work') return signs.value.find((sign) => sign.id === step)?.name ?? step;
    const [option = '', unit] = step.split('@');
    const name = OPTIONS[option as OptionId] ?? option;
    return unit === undefined ? name : `${name}, ${(UNIT_KINDS[unit as UnitObjectKind] ?? unit).toLowerCase()}`;
  }
  const outcomeName = ({ id: sign, outcome }: Pick<WayStep, 'id' | 'outcome'>): string =>
    signs.value.find((each) => each.id === sign)?.outcomes.find((each) => each.id === outcome)?.name ?? '';
  const says = (sign: string, outcome: string): string => findingWords(signs.value, { sign, outcome });
  return { shop, told, failed, problem, reload, review, causeName, stepName, outcomeName, says, stepKey, signs };
}
