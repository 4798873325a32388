<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Procedure } from '../../../core/procedure/index.ts';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import { addReason } from './draft.ts';
import ItemFields from './ItemFields.vue';
import LessonList from './LessonList.vue';
import OutlineRows from './OutlineRows.vue';
import ReasonsPanel from './ReasonsPanel.vue';
import { useDraft } from './useDraft.ts';
import WholeFields from './WholeFields.vue';

/** A procedure written by hand or out of a finished job: items as an outline, reasons by picking two. */
const route = useRoute();
const router = useRouter();
const shop = useShop();
const source = {
  id: typeof route.params.id === 'string' ? route.params.id : null,
  job: typeof route.query.job === 'string' ? route.query.job : null,
};
const editor = useDraft(source);
void editor.load();
const { draft, basedOn, lessons, failed, problems, changed, resumed, saving, wrong } = editor;

const selected = ref('');
const item = computed(
  () => draft.value?.items.find(({ id }) => id === selected.value) ?? draft.value?.items[0] ?? null,
);
const panel = ref<'item' | 'reasons' | 'whole'>('item');
const panels = [
  { id: 'item', name: 'Item' },
  { id: 'reasons', name: 'Reasons' },
  { id: 'whole', name: 'Whole' },
] as const;
const note = ref('');
const wrongs = computed(() => problems.value.filter(({ level }) => level === 'wrong'));
const looks = computed(() => problems.value.filter(({ level }) => level === 'look'));

function change(next: Procedure): void {
  draft.value = next;
}
function choose(id: string): void {
  selected.value = id;
  if (panel.value !== 'reasons') panel.value = 'item';
}

/** “This goes back before …”: the first of the two that are picked, then the reason. */
const picking = ref('');
const pair = ref<{ a: string; b: string } | null>(null);
const why = ref('');
const whyField = useTemplateRef('whyField');
function pick(id: string): void {
  if (picking.value === '' || picking.value === id) {
    picking.value = picking.value === id ? '' : id;
    return;
  }
  pair.value = { a: picking.value, b: id };
  why.value = '';
  picking.value = '';
  void nextTick(() => (whyField.value?.$el as HTMLElement | undefined)?.querySelector('input')?.focus());
}
function keepReason(): void {
  if (draft.value === null || pair.value === null || why.value.trim() === '') return;
  draft.value = addReason(draft.value, pair.value.a, pair.value.b, why.value.trim());
  pair.value = null;
}
const nameOf = (id: string): string => draft.value?.items.find((each) => each.id === id)?.name || 'this item';

async function save(): Promise<void> {
  const saved = await editor.save(note.value);
  if (saved === null) return;
  await router.push(`/procedures/${saved.id}`);
}
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/procedures">To the procedures</RouterLink>
  </p>
  <div
    v-else-if="draft"
    class="grid h-full min-h-0 overflow-y-auto lg:grid-cols-[minmax(0,1fr)_380px] lg:overflow-hidden"
  >
    <section class="min-w-0 px-4 py-5 md:px-7 lg:overflow-y-auto" tabindex="0" aria-label="Outline">
      <div class="flex flex-wrap items-end gap-x-5 gap-y-2">
        <h1 class="text-title">
          {{ source.job ? 'What the job taught' : basedOn === 0 ? 'New procedure' : draft.name || 'Procedure' }}
        </h1>
        <p class="pb-1 text-soft">
          {{ draft.items.length }} items, {{ draft.constraints.length }} reasons<template v-if="basedOn > 0"
            >, made from version {{ basedOn }}</template
          >
        </p>
      </div>
      <p v-if="resumed" class="mt-2 border-l-[3px] border-brass py-1 pl-3 text-note">
        Your draft of before goes on here.
        <button type="button" class="link" @click="editor.startOver()">Begin again from the library</button>
      </p>
      <p v-if="source.job && lessons.length === 0" class="mt-2 text-note">
        All went as the procedure says; the minutes are as they were.
      </p>
      <LessonList v-if="lessons.length > 0" :lessons="lessons" @choose="choose" />
      <form
        v-if="pair"
        class="sticky top-0 z-10 mt-3 flex flex-wrap items-end gap-3 border-y border-line bg-card py-3"
        @submit.prevent="keepReason"
      >
        <TextField
          ref="whyField"
          v-model="why"
          class="min-w-60 flex-1"
          :label="`${nameOf(pair.a)} before ${nameOf(pair.b).toLowerCase()}, because`"
          placeholder="it lies under"
        />
        <button type="submit" class="primary" :disabled="why.trim() === ''">Keep the reason</button>
        <button type="button" class="quiet" @click="pair = null">Leave it</button>
      </form>
      <p
        v-else-if="picking"
        class="sticky top-0 z-10 mt-3 border-y border-line bg-card py-3 font-semibold"
        aria-live="polite"
      >
        {{ nameOf(picking) }} goes back before which one? Pick the other item.
      </p>
      <OutlineRows
        :draft="draft"
        :selected="item?.id ?? ''"
        :picking="picking"
        :problems="problems"
        @change="change"
        @choose="choose"
        @pick="pick"
      />
    </section>
    <aside
      class="flex flex-col gap-4 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:border-t-0"
      aria-label="Details"
      tabindex="0"
    >
      <TabGroup
        as="div"
        class="flex flex-col gap-4"
        :selected-index="panels.findIndex(({ id }) => id === panel)"
        @change="(at: number) => (panel = panels[at]?.id ?? 'item')"
      >
        <TabList class="flex gap-2" aria-label="Show">
          <Tab v-for="each in panels" :key="each.id" v-slot="{ selected: shown }" as="template">
            <button type="button" class="quiet" :class="shown ? 'border-bottle! bg-bottle! text-on-bottle!' : ''">
              {{ each.name }}
            </button>
          </Tab>
        </TabList>
        <TabPanels>
          <TabPanel :tabindex="-1">
            <ItemFields v-if="item" :draft="draft" :item="item" @change="change" />
            <p v-else class="text-soft">Press Enter in the outline to add the first item.</p>
          </TabPanel>
          <TabPanel class="grid gap-4" :tabindex="-1"
            ><ReasonsPanel :draft="draft" @change="change" @choose="choose"
          /></TabPanel>
          <TabPanel :tabindex="-1"><WholeFields :draft="draft" @change="change" /></TabPanel>
        </TabPanels>
      </TabGroup>
      <section v-if="problems.length > 0" class="border-t border-line pt-4">
        <h2 class="text-sm font-bold">To look at</h2>
        <ul class="rows text-note">
          <li v-for="problem in [...wrongs, ...looks]" :key="problem.words" class="py-1.5">
            <button
              v-if="problem.subject && draft.items.some(({ id }) => id === problem.subject)"
              type="button"
              class="text-left underline underline-offset-2"
              :class="problem.level === 'wrong' ? 'font-semibold text-alarm' : 'text-soft'"
              @click="choose(problem.subject)"
            >
              {{ problem.words }}
            </button>
            <span v-else :class="problem.level === 'wrong' ? 'font-semibold text-alarm' : 'text-soft'">{{
              problem.words
            }}</span>
          </li>
        </ul>
      </section>
      <form
        class="mt-auto grid gap-3 border-t border-line bg-card pt-4 lg:sticky lg:-bottom-5 lg:pb-5"
        @submit.prevent="save"
      >
        <TextField v-model="note" label="What is new, in a few words" placeholder="measures are asked for" />
        <p v-if="wrong" class="font-semibold text-alarm" role="alert">
          {{ wrong }}
          <RouterLink
            v-if="wrong.includes('saved meanwhile')"
            class="link"
            :to="`/procedures/${draft.id}/difference?from=${basedOn}`"
            >See what was saved</RouterLink
          >
        </p>
        <p v-if="shop.personId === ''" class="text-sm text-soft">Pick who is at the bench before saving.</p>
        <button
          type="submit"
          class="primary"
          :disabled="
            saving || wrongs.length > 0 || note.trim() === '' || shop.personId === '' || (!changed && !source.job)
          "
        >
          {{ saving ? 'Saving' : `Save as version ${basedOn + 1}` }}
        </button>
      </form>
    </aside>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the procedure</p>
</template>
