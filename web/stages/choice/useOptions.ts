import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import {
  compareOptions,
  OPTIONS,
  type OptionId,
  type PartLived,
  type RepairsHeld,
  PER,
  planOptions,
  type ShopResult,
  type Way,
  wayId,
} from '../../../core/choose/index.ts';
import { jobChoice, partNumberFor, unitsOf, wayMinutes } from '../../../core/job/index.ts';
import type { Procedure } from '../../../core/procedure/index.ts';
import { convert, format, formatRoundMoney } from '../../../core/quantity/index.ts';
import { UNIT_KINDS, type UnitObjectKind } from '../../../core/vehicle/index.ts';
import { procedureOf } from '../../data/procedures.ts';
import { readHeld, readPartLives, readResults } from '../../data/shopRows.ts';
import { useDiagnosis } from '../diagnosis/useDiagnosis.ts';
import { wayWords } from './planWords.ts';

/** On a slow line plans are shown after so long by what is known of causes alone, ms. */
const PATIENCE_MS = 2000;

/** The plans of the job on the screen, worked out; a price being dragged counts before it is kept. */
export function useOptions() {
  const base = useDiagnosis();
  const { store, shop, diagnosis } = base;
  const results = shallowRef<readonly ShopResult[]>([]);
  const held = shallowRef<readonly RepairsHeld[]>([]);
  /** What the shop has seen is there, or is not to be had: plans that turn round while they are read would be no plans. */
  const settled = ref({ results: false, held: false });
  const patience = setTimeout(() => (settled.value = { results: true, held: true }), PATIENCE_MS);
  onScopeDispose(() => clearTimeout(patience));
  // Out of reach the usual lives stand, and say so.
  readHeld()
    .then((rows) => (held.value = rows))
    .catch(() => undefined)
    .finally(() => (settled.value = { ...settled.value, held: true }));
  const lived = shallowRef<readonly PartLived[]>([]);
  const procedure = shallowRef<Pick<Procedure, 'items'> | null>(null);
  const dragged = ref<{ readonly way: string; readonly partsMinor: number } | null>(null);

  watch(
    () => store.job?.vehicle.throttle,
    async (throttle) => {
      if (throttle === undefined) return;
      // Without the shop's results the chances come from the ranked causes alone, and say so.
      results.value = await readResults(throttle).catch(() => []);
      settled.value = { ...settled.value, results: true };
    },
    { immediate: true },
  );
  // A part that failed here before is not expected to last as long as is usual.
  watch(
    () =>
      store.job === null
        ? ''
        : (Object.keys(UNIT_KINDS) as UnitObjectKind[])
            .flatMap((kind) => partNumberFor(store.job!, store.family, kind) ?? [])
            .join('\n'),
    async (numbers) => {
      lived.value = await readPartLives(numbers.split('\n').filter(Boolean)).catch(() => []);
    },
    { immediate: true },
  );
  // The way off and back takes what its procedure says: the job's own, else the one that its family has.
  watch(
    [() => store.job?.procedure?.id, () => store.job?.procedure?.version, () => store.job?.vehicle.familyId],
    async ([id, version, familyId]) => {
      procedure.value = await procedureOf(id, version, familyId ?? null).catch(() => null);
    },
    { immediate: true },
  );

  const input = computed(() => {
    if (store.job === null || diagnosis.value === null || store.knowledge === null) return null;
    if (!settled.value.results || !settled.value.held) return null;
    const made = jobChoice(
      store.job,
      diagnosis.value,
      store.knowledge,
      store.family,
      procedure.value,
      results.value,
      shop.settings,
      shop.figures,
      lived.value,
      held.value,
    );
    const { value: moved } = dragged;
    return moved === null
      ? made
      : {
          ...made,
          terms: made.terms.map((terms) =>
            wayId(terms) === moved.way ? { ...terms, partsMinor: moved.partsMinor } : terms,
          ),
        };
  });
  const plans = computed(() => (input.value === null ? null : planOptions(input.value)));
  const comparison = computed(() => (input.value === null ? null : compareOptions(input.value)));
  const money = (minor: number): string => formatRoundMoney(minor, shop.settings.currency);
  /** What a vehicle counts in is what it is answered in. */
  const meter = computed(() => store.job?.vehicle.meterUnit ?? 'km');
  const KM_A_MILE = convert(1, 'mi', 'km');
  const per = computed(() =>
    meter.value === 'h' ? `per ${PER.h} h` : `per ${format({ value: PER.km, unit: meter.value })}`,
  );
  const perUse = (minor: number): string => money(Math.round(meter.value === 'mi' ? minor * KM_A_MILE : minor));
  /** How long something lasts: lives are kept in km, or hours. */
  const lasts = (life: number): string => {
    const thousand = (value: number): number => (value < 1000 ? Math.round(value) : Math.round(value / 1000) * 1000);
    const value = meter.value === 'mi' ? life / KM_A_MILE : life;
    return format({ value: meter.value === 'h' ? Math.round(value) : thousand(value), unit: meter.value });
  };
  const wayName = (way: Pick<Way, 'option' | 'terms'>): string => {
    const all = store.job === null ? [] : unitsOf(store.job, store.family);
    return wayWords(way, all.filter(({ kind }) => kind === way.terms.kind).length);
  };
  return {
    ...base,
    input,
    plans,
    comparison,
    results,
    dragged,
    money,
    per,
    perUse,
    lasts,
    wayName,
    wayMinutes: computed(() => (procedure.value === null ? null : wayMinutes(procedure.value))),
    optionName: (id: string) => OPTIONS[id as OptionId] ?? id,
  };
}
