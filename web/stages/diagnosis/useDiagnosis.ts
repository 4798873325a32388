import { computed } from 'vue';
import {
  type Access,
  causesFor,
  findingWords,
  nextCheck,
  type Proposal,
  signsFor,
  whatWouldChange,
} from '../../../core/diagnose/index.ts';
import { diagnoseJob, whereIs } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';

/** What a minute costs when the shop has set no rate: checks are then ranked by time alone. */
const NOMINAL_RATE = 6000;

/** The ranking of the job on the screen and what to find out next; null until the knowledge is loaded. */
export function useDiagnosis() {
  const store = useJob();
  const shop = useShop();

  const diagnosis = computed(() =>
    store.job === null || store.knowledge === null ? null : diagnoseJob(store.job, store.knowledge, store.family),
  );
  const signs = computed(() =>
    store.knowledge === null || diagnosis.value === null ? [] : signsFor(store.knowledge, diagnosis.value.subject),
  );
  const causes = computed(() => new Map((store.knowledge?.causes ?? []).map((cause) => [cause.id, cause])));
  const models = computed(() =>
    store.knowledge === null || diagnosis.value === null ? [] : causesFor(store.knowledge, diagnosis.value.subject),
  );
  /** What the checks so far have left behind: the duct off, the engine warm. */
  const reached = computed((): Access[] => {
    const done = new Set(store.job?.checks.map(({ check }) => check));
    return [...new Set(signs.value.filter(({ id }) => done.has(id)).flatMap(({ method }) => method?.leaves ?? []))];
  });
  const options = computed(() => ({
    minutePrice: (shop.settings.ratePerHourMinor || NOMINAL_RATE) / 60,
    reached: reached.value,
    passedOver: store.job?.passedOver.map(({ check }) => check) ?? [],
  }));
  const proposalsOf = (kinds: readonly string[]): Proposal[] =>
    diagnosis.value === null
      ? []
      : nextCheck(
          models.value,
          diagnosis.value.findings,
          signs.value.filter(({ kind }) => kinds.includes(kind)),
          options.value,
        );
  const checks = computed(() => proposalsOf(['check']));
  const questions = computed(() => proposalsOf(['symptom', 'circumstance', 'history']));

  const leader = computed(() => diagnosis.value?.ranking.causes[0] ?? null);
  const turns = computed(() =>
    leader.value === null ? [] : whatWouldChange(leader.value.id, checks.value, models.value),
  );
  /** Names of what is ranked: a cause, and where there are several units of its kinds the one at which it sits. */
  const placed = computed(() => new Map(models.value.map((model) => [model.id, model])));
  const placeOf = (id: string) => {
    const model = placed.value.get(id);
    return model?.unit && model.id !== model.cause ? model.unit : null;
  };
  const causeOf = (id: string) => causes.value.get(placed.value.get(id)?.cause ?? id.split('@')[0] ?? id);
  const nameOf = (id: string): string => {
    const unit = placeOf(id);
    const cause = causeOf(id)?.name ?? id;
    return unit === null ? cause : `${cause}, ${whereIs(unit)}`;
  };
  /** In few words: where a place says which unit it is, the place alone. */
  const shortOf = (id: string): string => {
    const unit = placeOf(id);
    const cause = causeOf(id)?.short ?? id;
    if (unit === null) return cause;
    const alone =
      unit.place !== 'only' &&
      models.value.every(({ cause: of, unit: at }) => of !== placed.value.get(id)?.cause || at?.kind === unit.kind);
    return `${cause}, ${alone ? unit.place : whereIs(unit)}`;
  };
  const says = (finding: { readonly sign: string; readonly outcome: string }): string =>
    findingWords(signs.value, finding);
  return {
    store,
    shop,
    diagnosis,
    signs,
    causes,
    models,
    checks,
    questions,
    options,
    leader,
    turns,
    nameOf,
    shortOf,
    says,
  };
}

/** A share as people read it: “< 1 %”. */
export const shareWords = (share: number): string =>
  share < 0.005 ? '<\u00a01\u00a0%' : share > 0.995 ? '>\u00a099\u00a0%' : `${Math.round(share * 100)}\u00a0%`;
