<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { itemOf, type Job, type JobItem, jobLocks, lockWords } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useMinute } from '../../stores/clock.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** Why an item cannot go back yet, in plain sentences, and what would let it. */
const props = defineProps<{ job: Job; item: JobItem }>();
const shop = useShop();
const form = useForm();
const now = useMinute();

const locks = computed(() => jobLocks(props.job, props.item.id, now.value));
const sayTime = (iso: string): string => (iso.length === 10 ? shop.say.nearDay(iso) : shop.say.nearTime(iso));
const lines = computed(() => locks.value.map((lock) => ({ lock, words: lockWords(props.job, lock, sayTime) })));
const bench = computed(() => locks.value.some(({ kind }) => kind === 'bench'));
const unit = computed(() => {
  const lock = locks.value.find(({ kind }) => kind === 'bench');
  if (lock?.kind !== 'bench' || props.item.flag?.settled === null) return null;
  return itemOf(props.job, lock.unit) ?? (props.item.kind === 'unit' ? props.item : null);
});
const buriedBy = computed(() => {
  const lock = locks.value.find(({ kind }) => kind === 'buried');
  return lock?.kind === 'buried' ? (itemOf(props.job, lock.item) ?? null) : null;
});
const plugged = computed(() =>
  props.job.openings.find(({ id, state }) => state === 'plugged' && props.item.opens.includes(id)),
);

/** “It is on already”: what is so is so, and the plan bends. */
const against = ref<string | null>(null);
watch(
  () => props.item.id,
  () => (against.value = null),
);
function putBackAnyway(): void {
  if (against.value === null) return;
  const kept = form.send('put-back-item', {
    itemId: props.item.id,
    renewed: props.item.singleUse,
    fitted: props.item.singleUse ? props.item.partNumber : '',
    countedBack: props.item.countedOut,
    confirmed: false,
    against: against.value,
  });
  if (kept) against.value = null;
}
</script>

<template>
  <div v-if="lines.length > 0 || plugged" class="grid gap-2 border-l-[3px] border-brass py-1 pl-3">
    <p v-if="plugged">
      <span class="font-semibold">{{ plugged.name }}</span> still holds its plug: take that out first.
    </p>
    <p v-for="line in lines" :key="line.words">{{ line.words }}</p>
    <p v-if="form.general('against')" class="font-semibold text-alarm" role="alert">{{ form.general('against') }}</p>
    <div v-if="job.status === 'open'" class="flex flex-wrap gap-2">
      <button
        v-if="unit"
        type="button"
        class="quiet text-sm"
        @click="form.send('finish-bench', { itemId: unit.id, note: '' })"
      >
        Bench work is finished
      </button>
      <button
        v-if="buriedBy"
        type="button"
        class="quiet text-sm"
        @click="
          form.send('remove-item', {
            itemId: buriedBy.id,
            pocket: buriedBy.pocket,
            label: buriedBy.label,
            countedOut: buriedBy.fasteners?.count ?? null,
          })
        "
      >
        Take {{ buriedBy.name.toLowerCase() }} off again
      </button>
      <button
        v-if="against === null && item.state === 'off' && item.origin !== 'plug' && !bench && !buriedBy"
        type="button"
        class="faint"
        @click="against = ''"
      >
        It is on already
      </button>
    </div>
    <form v-if="against !== null" class="grid gap-2" @submit.prevent="putBackAnyway">
      <TextField v-model="against" label="How did it go on?" placeholder="the bracket was moved aside" />
      <button type="submit" class="quiet text-sm">Keep it as it is</button>
    </form>
  </div>
</template>
