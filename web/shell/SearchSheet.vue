<script setup lang="ts">
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { FoundKind, FoundLine, SearchReply } from '../../contract/index.ts';
import { markWords, searchWords } from '../../core/words/index.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import { searchAll } from '../data/search.ts';
import MarkedText from './MarkedText.vue';

/** Anything in the shop by its words or numbers, grouped; arrows go through what was found. */
const emit = defineEmits<{ close: [] }>();
const router = useRouter();
const text = ref('');
const sought = computed(() => searchWords(text.value));
const groups = shallowRef<SearchReply['groups'] | null>(null);
const failed = ref('');
const all = ref(false);
const list = useTemplateRef('list');
let asked = 0;
/** The question that is answered on the screen; while another is typed, what stands there is not gone into. */
const answered = ref('');

const NAMES: Readonly<Record<FoundKind, string>> = {
  job: 'Jobs',
  vehicle: 'Vehicles',
  unit: 'Units',
  stock: 'Stock',
  procedure: 'Procedures',
};
const PATHS: Readonly<Record<FoundKind, string>> = {
  job: '/jobs/',
  vehicle: '/vehicles/',
  unit: '/units/',
  stock: '/stock/',
  procedure: '/procedures/',
};
const FEW = 6;
const MANY = 200;

/** The newest question wins; an older answer that arrives late is dropped. */
async function look(): Promise<void> {
  const mine = ++asked;
  const words = text.value;
  if (text.value.trim() === '') {
    groups.value = null;
    answered.value = words;
    return;
  }
  try {
    const reply = await searchAll(text.value, all.value ? MANY : FEW);
    if (mine !== asked) return;
    groups.value = reply.groups;
    answered.value = words;
    failed.value = '';
  } catch (error) {
    if (mine === asked) failed.value = error instanceof Error ? error.message : String(error);
  }
}
watch(text, () => {
  all.value = false;
  void look();
});
function showAll(): void {
  all.value = true;
  void look();
}
function open(kind: FoundKind, { ref: id }: FoundLine): void {
  emit('close');
  void router.push(`${PATHS[kind]}${id}`);
}
/** From the field down into the list, through it, and back up into the field. */
function move(by: 1 | -1, event: KeyboardEvent): void {
  if (answered.value !== text.value) {
    // What was found for other words would be opened in place of what is sought.
    event.preventDefault();
    return;
  }
  const rows = [...(list.value?.querySelectorAll<HTMLElement>('[data-found]') ?? [])];
  const here = rows.indexOf(document.activeElement as HTMLElement);
  const next = here + by;
  if (next >= rows.length) return;
  event.preventDefault();
  if (next < 0) document.getElementById('search-anything')?.focus();
  else rows[next]?.focus();
}
</script>

<template>
  <SheetDialog title="Search" @close="emit('close')">
    <div ref="list" @keydown.down="move(1, $event)" @keydown.up="move(-1, $event)">
      <label class="sr-only" for="search-anything"
        >Plate, VIN, customer, job, part or unit number, code, note, name</label
      >
      <input
        id="search-anything"
        v-model="text"
        class="input"
        placeholder="Plate, customer, part number, code, a word of a note …"
        autocomplete="off"
      />
      <p v-if="failed" class="mt-3 font-semibold text-alarm" role="alert">{{ failed }}</p>
      <p v-if="groups === null" class="mt-4 text-soft">
        Everything in the shop, old jobs too. Numbers are found however they are spaced and dashed.
      </p>
      <p v-else-if="groups.length === 0" class="mt-4 text-soft" role="status">Nothing fits “{{ text }}”.</p>
      <section v-for="group in groups ?? []" :key="group.kind" class="mt-5">
        <h3 class="text-sm font-bold text-soft">{{ NAMES[group.kind] }}</h3>
        <ul class="rows">
          <li v-for="row in group.rows" :key="row.ref">
            <button
              type="button"
              data-found
              class="flex min-h-12 w-full items-baseline gap-x-4 py-2 text-left hover:text-bottle"
              @click="open(group.kind, row)"
            >
              <span class="min-w-0 flex-1"
                ><span class="block font-semibold"><MarkedText :parts="markWords(row.title, sought)" /></span
                ><span v-if="row.parts.length > 0" class="block text-sm text-soft"
                  ><span v-if="row.about">{{ row.about }}: </span><MarkedText :parts="row.parts" /></span
              ></span>
              <span v-if="row.status" class="text-sm text-soft">{{
                row.status === 'closed' ? 'handed over' : 'open'
              }}</span>
            </button>
          </li>
        </ul>
        <button v-if="group.more && !all" type="button" class="link min-h-9 text-sm" @click="showAll">
          More {{ NAMES[group.kind].toLowerCase() }} fit
        </button>
        <p v-else-if="group.more" class="py-2 text-sm text-soft">
          More than {{ MANY }} fit: another word narrows it down.
        </p>
      </section>
    </div>
  </SheetDialog>
</template>
