<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { lengthsOf, type JobItem } from '../../../../core/job/index.ts';
import TextField from '../../../parts/TextField.vue';
import { useJob } from '../../../stores/job.ts';
import StageFrame from '../../StageFrame.vue';
import { useForm } from '../../useForm.ts';
import { layOutTray, type Pocket } from './trayLayout.ts';

/** The lay-out tray: pockets in rows, what lies in each, and what still lies about. */
const store = useJob();
const form = useForm();
const job = computed(() => store.job);
const tray = computed(() => (job.value === null ? null : layOutTray(job.value)));
const open = ref('A1');
const moving = ref('');
const pocket = computed((): Pocket | null => {
  if (tray.value === null) return null;
  return [...tray.value.rows.flat(), ...tray.value.elsewhere].find(({ id }) => id === open.value) ?? null;
});
const name = ref('');
watch(
  [open, () => pocket.value?.name],
  () => {
    name.value = pocket.value?.name ?? '';
    form.clear();
  },
  { immediate: true },
);
const inHand = computed(() => job.value?.items.find(({ id }) => id === moving.value) ?? null);
const count = computed(() => tray.value?.rows.flat().filter(({ items }) => items.length > 0).length ?? 0);

/** A pocket is opened; with something in hand that is put there. */
function tap(id: string): void {
  if (inHand.value !== null) {
    const { id: itemId, label, remark } = inHand.value;
    if (form.send('remark-item', { itemId, pocket: id, label, remark })) moving.value = '';
  }
  open.value = id;
}
function size(rows: number, columns: number): void {
  form.send('lay-out-tray', { rows, columns });
}
const lines = (item: JobItem): string => {
  const lengths = lengthsOf(item);
  if (lengths.length > 1) return lengths.map((each) => `${each.count} × ${each.lengthMm} mm`).join(', ');
  return item.fasteners === null ? '' : `${item.countedOut ?? item.fasteners.count} × ${item.fasteners.thread}`;
};
</script>

<template>
  <StageFrame v-if="job && tray" stage="strip" title="Lay-out tray">
    <template #head>
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 class="text-heading">Lay-out tray</h2>
        <p class="text-soft">
          {{ count }} {{ count === 1 ? 'pocket' : 'pockets' }} in use<template v-if="inHand"
            >. <b class="text-ink">{{ inHand.name }}</b> in hand: tap its pocket.</template
          >
        </p>
        <span class="ml-auto flex flex-wrap gap-2">
          <RouterLink class="quiet text-sm" :to="`/jobs/${job.id}/tags`">Print tags</RouterLink>
          <RouterLink class="quiet text-sm" :to="`/jobs/${job.id}/strip`">Back to strip</RouterLink>
        </span>
      </div>
    </template>
    <div class="tray mt-4" role="group" aria-label="Pockets">
      <div v-for="(row, index) in tray.rows" :key="index" class="row">
        <span class="letter" aria-hidden="true">{{ String.fromCharCode(65 + index) }}</span>
        <button
          v-for="each in row"
          :key="each.id"
          type="button"
          class="pocket"
          :class="{ full: each.items.length > 0, open: each.id === open }"
          :aria-pressed="each.id === open"
          @click="tap(each.id)"
        >
          <span class="id"
            >{{ each.id }}<b v-if="each.name">{{ each.name }}</b></span
          >
          <span v-for="item in each.items.slice(0, 3)" :key="item.id" class="what">{{ item.name }}</span>
          <span v-if="each.items.length > 3" class="more">and {{ each.items.length - 3 }} more</span>
        </button>
      </div>
    </div>
    <div class="mt-5 grid gap-x-10 gap-y-4 sm:grid-cols-2">
      <section v-if="tray.elsewhere.length > 0">
        <h3 class="text-sm font-bold">Elsewhere</h3>
        <ul class="rows border-y border-line">
          <li v-for="place in tray.elsewhere" :key="place.id" class="py-2">
            <button type="button" class="font-semibold underline underline-offset-2" @click="open = place.id">
              {{ place.id }}
            </button>
            <span class="text-soft">: {{ place.items.map((item) => item.name).join(', ') }}</span>
          </li>
        </ul>
      </section>
      <section v-if="tray.nowhere.length > 0">
        <h3 class="text-sm font-bold text-oxide">Off, and nobody said where</h3>
        <ul class="rows border-y border-line">
          <li v-for="item in tray.nowhere" :key="item.id" class="flex items-center justify-between gap-3 py-1.5">
            {{ item.name }}
            <button type="button" class="quiet text-sm" @click="moving = item.id">Put it somewhere</button>
          </li>
        </ul>
      </section>
    </div>
    <div v-if="job.status === 'open'" class="mt-5 flex flex-wrap items-center gap-3 text-sm text-soft">
      <span>{{ job.tray.rows }} rows</span>
      <button
        type="button"
        class="quiet text-sm"
        aria-label="One row fewer"
        @click="size(job.tray.rows - 1, job.tray.columns)"
      >
        −
      </button>
      <button
        type="button"
        class="quiet text-sm"
        aria-label="One row more"
        @click="size(job.tray.rows + 1, job.tray.columns)"
      >
        +
      </button>
      <span>{{ job.tray.columns }} columns</span>
      <button
        type="button"
        class="quiet text-sm"
        aria-label="One column fewer"
        @click="size(job.tray.rows, job.tray.columns - 1)"
      >
        −
      </button>
      <button
        type="button"
        class="quiet text-sm"
        aria-label="One column more"
        @click="size(job.tray.rows, job.tray.columns + 1)"
      >
        +
      </button>
      <span v-if="form.error('rows') ?? form.error('columns')" class="font-semibold text-alarm" role="alert">{{
        form.error('rows') ?? form.error('columns')
      }}</span>
    </div>
    <template #why>
      <div v-if="pocket" class="grid gap-4">
        <div>
          <p class="figure text-figure-md">{{ pocket.id }}</p>
          <p v-if="pocket.name" class="text-soft">{{ pocket.name }}</p>
        </div>
        <form
          v-if="job.status === 'open' && /^[A-Z]\d+$/.test(pocket.id)"
          class="flex items-end gap-2"
          @submit.prevent="form.send('name-pocket', { pocket: pocket.id, name })"
        >
          <TextField v-model="name" class="flex-1" label="Name of the pocket" placeholder="flange bolts" />
          <button type="submit" class="quiet text-sm">Keep</button>
        </form>
        <ul class="rows border-y border-line">
          <li v-for="item in pocket.items" :key="item.id" class="py-2">
            <p class="font-semibold">{{ item.name }}</p>
            <p class="text-sm text-soft">
              {{ [item.label === '' ? '' : `tag: ${item.label}`, lines(item)].filter(Boolean).join(' · ') }}
            </p>
            <button v-if="job.status === 'open'" type="button" class="faint" @click="moving = item.id">Move it</button>
          </li>
          <li v-if="pocket.items.length === 0" class="py-2 text-soft">Empty.</li>
        </ul>
      </div>
    </template>
    <template #foot><span /></template>
  </StageFrame>
</template>

<style scoped>
/* Pockets overlap by their lines; the last ones need the pixel. */
.tray {
  padding: 0 1px 2px 0;
  overflow-x: auto;
}
.row {
  display: flex;
  min-width: max-content;
}
.letter {
  width: 1.75rem;
  padding-top: 0.55rem;
  font-weight: 700;
  color: var(--soft);
}
.pocket {
  display: flex;
  width: 8.25rem;
  min-height: 6rem;
  flex-direction: column;
  align-items: flex-start;
  gap: 0.1rem;
  margin: 0 -1px -1px 0;
  padding: 0.4rem 0.55rem;
  border: 1.5px solid var(--line);
  font-size: var(--text-sm);
  line-height: 1.2;
  text-align: left;
}
.id {
  display: flex;
  gap: 0.4rem;
  font-size: var(--text-xs);
  color: var(--soft);
}
.id b {
  font-weight: 600;
}
.pocket.full {
  background: var(--card);
}
.pocket.full .id {
  font-weight: 700;
  color: var(--oxide);
}
.what {
  font-weight: 600;
}
.more {
  color: var(--soft);
}
.pocket.open {
  z-index: 1;
  outline: 2.5px solid var(--ink);
  outline-offset: -2px;
}
</style>
