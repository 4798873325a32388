import { computed, ref, shallowRef, watch } from 'vue';
import { compareOptions, flipPrice, OPTIONS, type OptionId, PER, type ShopResult } from '../../../core/choose/index.ts';
import { jobChoice } from '../../../core/job/index.ts';
import { format, formatRoundMoney } from '../../../core/quantity/index.ts';
import { readResults } from '../../data/shopRows.ts';
import { useDiagnosis } from '../diagnosis/useDiagnosis.ts';

/** The options of the job on the screen, worked out; a price being dragged counts before it is kept. */
export function useOptions() {
  const base = useDiagnosis();
  const { store, shop, diagnosis } = base;
  const results = shallowRef<readonly ShopResult[]>([]);
  const dragged = ref<{ readonly option: OptionId; readonly partsMinor: number } | null>(null);

  watch(
    () => store.job?.vehicle.throttle,
    async (throttle) => {
      if (throttle === undefined) return;
      // Without the shop's results the chances come from the ranked causes alone, and say so.
      results.value = await readResults(throttle).catch(() => []);
    },
    { immediate: true },
  );

  const input = computed(() => {
    if (store.job === null || diagnosis.value === null) return null;
    const made = jobChoice(store.job, diagnosis.value, store.family, results.value, shop.settings);
    const { value: moved } = dragged;
    return moved === null
      ? made
      : {
          ...made,
          terms: made.terms.map((terms) =>
            terms.id === moved.option ? { ...terms, partsMinor: moved.partsMinor } : terms,
          ),
        };
  });
  const comparison = computed(() => (input.value === null ? null : compareOptions(input.value)));
  const flipOf = (option: OptionId) => (input.value === null ? null : flipPrice(input.value, option));
  const money = (minor: number): string => formatRoundMoney(minor, shop.settings.currency);
  const per = computed(() =>
    input.value?.per === 'h' ? `per ${PER.h} h` : `per ${format({ value: PER.km, unit: 'km' })}`,
  );
  return {
    ...base,
    input,
    comparison,
    results,
    dragged,
    flipOf,
    money,
    per,
    optionName: (id: string) => OPTIONS[id as OptionId] ?? id,
  };
}
