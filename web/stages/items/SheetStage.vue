<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { allNeeds, comesOff, standsAt, type Way } from '../../../core/job/index.ts';
import { useKeys } from '../../shell/keys.ts';
import { afterPaint } from '../../stores/afterPaint.ts';
import { useMinute } from '../../stores/clock.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import StageFrame from '../StageFrame.vue';
import ItemDetail from './ItemDetail.vue';
import { layOut } from './layout.ts';
import ObjectsBlock from './ObjectsBlock.vue';
import EndSteps from './EndSteps.vue';
import StandingLine from './line/StandingLine.vue';
import NewerVersion from './NewerVersion.vue';
import ThereAndBack from './ThereAndBack.vue';
import TwoPeople from './TwoPeople.vue';

/** Strip and refit are one sheet worked in two directions. */
const props = defineProps<{ way: Way }>();
const store = useJob();
const shop = useShop();
const now = useMinute();
const route = useRoute();
const router = useRouter();
const line = useTemplateRef('line');
/** The sheet of strip has the line always; on the way back something may still come off. */
const adding = ref(false);
/** Chosen by hand; otherwise the sheet follows the work. */
const chosen = ref<string | null>(null);
watch(
  () => route.query.item,
  (id) => (chosen.value = typeof id === 'string' ? id : null),
  { immediate: true },
);

const job = computed(() => store.job);
const item = computed(() => {
  const { value } = job;
  if (value === null) return null;
  return (
    value.items.find(({ id }) => id === chosen.value) ??
    standsAt(value, props.way, shop.personId, now.value) ??
    value.items.filter((each) => each.stripOrder !== null && comesOff(each)).at(-1) ??
    null
  );
});
const left = computed(() =>
  job.value === null
    ? 0
    : job.value.items.filter((each) =>
        props.way === 'strip' ? each.state === 'on' && comesOff(each) : each.state === 'off',
      ).length,
);
const lead = computed(() => {
  if (left.value === 0) {
    if (props.way === 'refit') return 'Everything is back.';
    const typed = job.value?.procedure === null && job.value.items.length > 0;
    return typed ? 'All of that is off. Say what else comes off.' : 'Everything listed is off.';
  }
  return props.way === 'strip'
    ? `${left.value} still on. Tap a tag as it comes off.`
    : `${left.value} to go back. Start at the foot and work upward.`;
});

const detail = useTemplateRef('detail');
const sheet = useTemplateRef('sheet');
/** Off with a tap. On the way back the first tap opens a tag's detail, for what goes back has been thought of before. */
function choose(id: string): void {
  const acts = props.way === 'strip' ? id === item.value?.id : id === chosen.value;
  if (acts) detail.value?.actPlainly();
  else chosen.value = id;
}
const ordered = computed(() => {
  const need = job.value?.needs.find(({ state }) => state === 'ordered');
  return job.value === null ? '' : (allNeeds(job.value).find(({ id }) => id === need?.needId)?.name ?? '');
});

/** After an action the sheet moves on, unless the same group has bolts left. */
function acted(): void {
  chosen.value = null;
  show('nearest');
}
/** What was typed hangs on the sheet at once; what gapes is plugged before the next. */
function took(): void {
  adding.value = false;
  acted();
}
/** After the change is painted: reading positions earlier would force the whole sheet to be laid out first. */
function show(where: 'nearest' | 'center'): void {
  void nextTick(() => afterPaint(() => sheet.value?.reveal(item.value?.id ?? '', where)));
}
onMounted(() => show('center'));
function step(by: 1 | -1): void {
  if (job.value === null || item.value === null) return;
  const rows = props.way === 'strip' ? layOut(job.value, 'strip').left : layOut(job.value, 'refit').right;
  const at = rows.findIndex((row) => row.item.id === item.value?.id);
  const next = rows[at + by];
  if (next === undefined) return;
  chosen.value = next.item.id;
  show('nearest');
}
useKeys([
  { keys: 'arrowdown', does: 'Next tag down', run: () => step(1) },
  { keys: 'arrowup', does: 'Next tag up', run: () => step(-1) },
]);
</script>

<template>
  <StageFrame v-if="job" :stage="way" :title="way === 'strip' ? 'Strip' : 'Refit'">
    <template #head>
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 class="sr-only">{{ way === 'strip' ? 'Strip' : 'Refit' }}</h2>
        <p class="text-note">{{ lead }}</p>
        <span class="ml-auto flex flex-wrap gap-2">
          <RouterLink class="quiet text-sm" :to="`/jobs/${job.id}/tray`">Tray</RouterLink>
          <button
            v-if="job.status === 'open' && way === 'refit'"
            type="button"
            class="quiet text-sm"
            :aria-expanded="adding"
            @click="adding = !adding"
          >
            Something else came off
          </button>
          <button type="button" class="quiet text-sm" @click="router.push(`/jobs/${job.id}/hands/${way}`)">
            Hands busy <kbd class="key" aria-hidden="true">H</kbd>
          </button>
        </span>
      </div>
      <NewerVersion :job="job" />
      <TwoPeople :job="job" :way="way" @choose="chosen = $event" />
    </template>
    <div v-if="job.items.length === 0" class="mt-6 max-w-prose">
      <p class="text-heading font-bold">Nothing is written for this engine yet. Say what comes off.</p>
      <p class="mt-1 text-soft">
        Each line becomes a tag on the string; openings, counts and torques are watched as with a procedure.
        <RouterLink class="link" :to="`/jobs/${job.id}/prepare`">Choose a procedure</RouterLink> where there is one.
      </p>
    </div>
    <template v-else>
      <ThereAndBack ref="sheet" :job="job" :way="way" :selected="item?.id ?? ''" @choose="choose" />
      <EndSteps v-if="way === 'refit'" :job="job" />
      <ObjectsBlock :job="job" />
      <!-- Where the detail lies below the sheet, what to do next stays in reach of a thumb. -->
      <div
        v-if="item && detail?.label && job.status === 'open'"
        class="sticky bottom-0 -mx-4 mt-3 border-t border-line bg-card px-4 py-3 md:-mx-7 md:px-7 lg:hidden"
      >
        <p v-if="detail.wrong" class="mb-2 font-semibold text-alarm" role="alert">{{ detail.wrong }}</p>
        <div class="flex items-center gap-4 max-sm:flex-wrap">
          <p class="min-w-0 flex-1 leading-tight">
            <span class="block truncate font-bold">{{ item.name }}</span><span
              v-if="detail.setting"
              class="figure text-xl"
              >{{ detail.setting }}</span
            >
          </p>
          <button type="button" class="primary min-w-0 sm:shrink-0" @click="detail.act()">{{ detail.label }}</button>
        </div>
      </div>
    </template>
    <StandingLine
      v-if="job.status === 'open' && (way === 'strip' || adding)"
      ref="line"
      class="mt-3 lg:sticky lg:-bottom-4"
      :job="job"
      @taken="took"
    />
    <template #why>
      <p v-if="way === 'strip' && ordered" class="border-l-[3px] border-brass py-1 pl-3">
        {{ ordered }} is on order.
        <RouterLink class="link" :to="`/jobs/${job.id}/prepare`">Start or wait?</RouterLink>
      </p>
      <ItemDetail v-if="item" ref="detail" :job="job" :item="item" :way="way" @acted="acted" />
    </template>
    <template v-if="left > 0 && item" #foot><span /></template>
  </StageFrame>
</template>
