import { computed, shallowRef, watch } from 'vue';
import type { Proposal } from '../../../core/diagnose/index.ts';
import { useOptions } from '../choice/useOptions.ts';
import { useJudging } from '../../workers/useJudging.ts';
import type { WorthFound } from '../../workers/judgingProtocol.ts';

/**
 * Checks in the order of what each is expected to save in the plan. Until that is worked out, in a worker, the order by
 * information for the time is shown; a check that cannot change the plan is then no longer asked for.
 */
export function useCheckOrder() {
  const base = useOptions();
  const worths = shallowRef<ReadonlyMap<string, WorthFound> | null>(null);
  const { ask } = useJudging((answer) => {
    if (answer.kind === 'worth') worths.value = new Map(answer.worths.map((worth) => [worth.sign, worth]));
  });
  const asked = computed(() =>
    base.input.value === null || base.diagnosis.value === null
      ? null
      : {
          subject: base.diagnosis.value.subject,
          findings: base.diagnosis.value.findings,
          choose: base.input.value,
          ...base.options.value,
        },
  );
  watch(
    asked,
    (now) => {
      // What was worth something before this finding may be worth nothing now.
      worths.value = null;
      if (now !== null && base.store.knowledge !== null) ask(base.store.knowledge, { kind: 'worth', ...now });
    },
    { immediate: true },
  );

  const worthOf = (id: string): number => worths.value?.get(id)?.worthMinor ?? Number.NEGATIVE_INFINITY;
  const checks = computed((): readonly Proposal[] =>
    worths.value === null
      ? base.checks.value
      : [...base.checks.value].sort((a, b) => worthOf(b.sign.id) - worthOf(a.sign.id)),
  );
  /** Every check costs more than it could save, and something was found to go by. */
  const enough = computed(
    () =>
      worths.value !== null &&
      worths.value.size > 0 &&
      (base.diagnosis.value?.findings.length ?? 0) > 0 &&
      [...worths.value.values()].every(({ worthMinor }) => worthMinor <= 0),
  );
  const saves = (id: string): string => {
    const worth = worths.value?.get(id);
    return worth === undefined || worth.worthMinor <= 0 ? '' : base.money(Math.round(worth.savesMinor));
  };
  const opens = (id: string): string | null => {
    const behind = worths.value?.get(id)?.opens ?? null;
    return behind === null ? null : (base.signs.value.find((sign) => sign.id === behind)?.name ?? null);
  };
  return { ...base, checks, enough, saves, opens };
}
