<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ACCESS, type Sign } from '../../../core/diagnose/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import AdapterPanel from '../../stages/complaint/AdapterPanel.vue';
import FindingsList from '../../stages/diagnosis/FindingsList.vue';
import { useDiagnosis } from '../../stages/diagnosis/useDiagnosis.ts';
import LiveData from '../../stages/recordings/LiveData.vue';
import StageFrame from '../../stages/StageFrame.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import { usePractice } from '../usePractice.ts';
import LookInHand from './LookInHand.vue';
import RankingAsked from './RankingAsked.vue';
import TagBoard from './TagBoard.vue';
import WayLine from './WayLine.vue';

/** Diagnose in practice: the person ranks, chooses what to look at, and judges what is seen. The program keeps its own counsel. */
const practice = usePractice();
const { store, reply, failed, problem, signOf, inHand, marks, minutes, costMinor, does, entries, tags, asked } =
  practice;
const { diagnosis, signs, shop } = useDiagnosis();
const job = computed(() => store.job);
const sheet = ref<'adapter' | null>(null);
const picked = ref('');

const checks = computed(() => signs.value.filter(({ kind }) => kind === 'check'));
const KEYS = ['key off', 'key on, engine off', 'engine running', 'driving'] as const;
const shelves = computed(() =>
  KEYS.map((key) => ({ key, of: checks.value.filter(({ method }) => method?.key === key) })).filter(
    ({ of }) => of.length > 0,
  ),
);
const doneBefore = (sign: Sign): boolean => entries.value.some(({ kind, what }) => kind === 'look' && what === sign.id);
const needs = ({ method }: Sign): string => (method?.needs ?? []).map((access) => ACCESS[access].name).join(', ');
const handSign = computed(() => (inHand.value === null ? null : signOf(inHand.value.what)));
/** Another check is chosen while one is in hand. */
const choosing = ref(false);
watch(
  () => inHand.value?.seq,
  () => (choosing.value = false),
);
const missing = ({ method }: Sign): Sign | null =>
  (method?.after ?? [])
    .map((id) => checks.value.find((sign) => sign.id === id) ?? null)
    .find((sign) => sign !== null && !(job.value?.checks.some(({ check }) => check === sign.id) ?? false)) ?? null;

async function look(sign: Sign): Promise<void> {
  picked.value = sign.id;
  await does({ kind: 'look', sign: sign.id });
  picked.value = '';
}
const title = computed(() => {
  const found = job.value?.checks.length ?? 0;
  return found === 0 ? 'Find what is wrong with it' : found === 1 ? 'One finding so far' : `${found} findings so far`;
});
</script>

<template>
  <StageFrame v-if="job" stage="diagnose" :title="title">
    <template #head>
      <h2 class="text-heading">{{ title }}</h2>
      <p class="mt-0.5 max-w-prose text-note text-soft">“{{ job.complaint }}”</p>
    </template>
    <p v-if="problem || failed" class="mt-3 font-semibold text-alarm" role="alert">{{ problem || failed }}</p>
    <WayLine class="mt-4" :marks="marks" :minutes="minutes" :cost="costMinor > 0 ? shop.say.money(costMinor) : ''" />
    <div class="mt-4 grid gap-6 border-t border-line pt-4 lg:grid-cols-[15.5rem_minmax(0,1fr)]">
      <section aria-label="What you think">
        <TagBoard :tags="tags" :causes="diagnosis?.causes ?? []" @lay="(laid) => does({ kind: 'tags', tags: laid })" />
        <RankingAsked class="mt-4" :asked="asked" :diagnosis="diagnosis" @ask="does({ kind: 'ranking' })" />
      </section>
      <section class="min-w-0" aria-label="What you look at">
        <LookInHand
          v-if="inHand && handSign && !choosing"
          :key="inHand.seq"
          :entry="inHand"
          :sign="handSign"
          @another="choosing = true"
        />
        <template v-else>
          <div class="flex flex-wrap items-baseline justify-between gap-x-4">
            <h3 class="text-xl">What do you look at?</h3>
            <button v-if="choosing" type="button" class="link text-note" @click="choosing = false">
              Back to what is in hand
            </button>
          </div>
          <p class="text-note text-soft">Your choice; each takes its time on the practice clock.</p>
          <button type="button" class="quiet mt-2 w-full justify-between!" @click="sheet = 'adapter'">
            Read codes and values <span class="text-sm font-normal text-soft">5 min</span>
          </button>
          <div v-for="shelf in shelves" :key="shelf.key" class="mt-4">
            <h4 class="text-sm font-bold">{{ upperFirst(shelf.key) }}</h4>
            <ul class="rows border-y border-line">
              <li v-for="sign in shelf.of" :key="sign.id">
                <button
                  type="button"
                  class="flex min-h-11 w-full items-baseline justify-between gap-3 py-1.5 text-left hover:text-bottle disabled:text-soft"
                  :disabled="picked !== '' || missing(sign) !== null || reply?.state !== 'open'"
                  @click="look(sign)"
                >
                  <span
                    ><span class="font-semibold">{{ sign.name }}</span
                    ><span v-if="missing(sign)" class="block text-sm"
                      >after “{{ missing(sign)?.name.toLowerCase() }}”</span
                    ><span v-else-if="needs(sign)" class="block text-sm text-soft">{{ needs(sign) }}</span></span
                  >
                  <span class="whitespace-nowrap text-sm text-soft"
                    >{{ doneBefore(sign) ? 'looked at, ' : '' }}{{ sign.method?.minutes }} min</span
                  >
                </button>
              </li>
            </ul>
          </div>
        </template>
      </section>
    </div>
    <FindingsList
      v-if="diagnosis && reply?.state === 'open' && asked > 0"
      class="mt-7"
      :job="job"
      :diagnosis="diagnosis"
      :signs="signs"
      @again="(id) => does({ kind: 'look', sign: id })"
    />
    <LiveData class="mt-6" :job="job" when="before" :under="{}" />
    <SheetDialog v-if="sheet === 'adapter'" title="Read the vehicle" wide @close="sheet = null">
      <AdapterPanel :job="job" when="before" />
    </SheetDialog>
  </StageFrame>
</template>
