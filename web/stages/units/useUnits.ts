import { computed, ref } from 'vue';
import { isVehicleUnit, jobUnits, type JobUnit } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';

/** The units on the bench of the job on the screen, and the one that is being worked on. */
export function useUnits() {
  const store = useJob();
  const units = computed((): readonly JobUnit[] => (store.job === null ? [] : jobUnits(store.job, store.family)));
  /** Without the parts that lie beside them: what is fitted, compared and replaced as a whole. */
  const fitted = computed(() => units.value.filter(isVehicleUnit));
  const chosen = ref('');
  const unit = computed(
    (): JobUnit | null => units.value.find(({ id }) => id === chosen.value) ?? units.value[0] ?? null,
  );
  return { units, fitted, unit, chosen };
}
