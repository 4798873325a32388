<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { entryWords, FACTS, fixesOf, type Job, type LoggedFact } from '../../../core/job/index.ts';
import { searchWords } from '../../../core/words/index.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import PutRightSheet from './PutRightSheet.vue';

/** Everything that was entered, newest first, with who and when; what can be put right, is from here too. */
const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const typed = ref('');
const chosen = shallowRef<LoggedFact | null>(null);
const MOST = 80;

const all = computed(() => {
  const lines: {
    key: string;
    at: string;
    by: string;
    words: string;
    why: string;
    struck: boolean;
    entry: LoggedFact | null;
  }[] = [];
  for (let step = props.job.history; step !== null; step = step.earlier) {
    const { fact } = step;
    const declared = FACTS.get(fact.type);
    const fixable = declared !== undefined && fixesOf(declared) !== 'none' && props.job.cancelled === null;
    lines.push({
      key: `${fact.commandId} ${fact.seq}`,
      at: fact.at,
      by: fact.by,
      words: entryWords(props.job, fact),
      why: '',
      struck: false,
      entry: fixable ? fact : null,
    });
  }
  for (const { seqs, entered, words, instead, why } of props.job.struck)
    lines.push({
      key: `struck ${seqs.join(' ')}`,
      ...entered,
      words,
      why: [instead === '' ? 'struck' : `now: ${instead}`, why].filter(Boolean).join('; '),
      struck: true,
      entry: null,
    });
  return lines.sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0));
});
const matching = computed(() => {
  const wanted = searchWords(typed.value);
  return all.value.filter(({ words, by }) => {
    const own = searchWords(`${words} ${shop.firstName(by)}`);
    return wanted.every((word) => own.some((each) => each.startsWith(word)));
  });
});
</script>

<template>
  <SheetDialog title="Everything entered" wide @close="emit('close')">
    <TextField v-model="typed" label="Find an entry" placeholder="a few letters" class="mb-3 max-w-sm" />
    <ol class="rows border-y border-line">
      <li
        v-for="line in matching.slice(0, MOST)"
        :key="line.key"
        class="grid grid-cols-[12.5rem_1fr_auto] items-baseline gap-3 py-1.5 max-sm:grid-cols-[1fr_auto]"
      >
        <span class="text-sm text-soft max-sm:col-span-2"
          >{{ shop.say.nearTime(line.at) }}, {{ shop.firstName(line.by) }}</span
        >
        <span
          ><s v-if="line.struck">{{ line.words }}</s
          ><template v-else>{{ line.words }}</template
          ><span v-if="line.why" class="block text-sm text-soft">{{ line.why }}</span></span
        >
        <button v-if="line.entry" type="button" class="link min-h-8 text-sm" @click="chosen = line.entry">
          Put right<span class="sr-only">: {{ line.words }}</span>
        </button>
      </li>
    </ol>
    <p v-if="matching.length === 0" class="text-soft">No entry says that.</p>
    <p v-if="matching.length > MOST" class="mt-2 text-sm text-soft">
      {{ matching.length - MOST }} earlier ones: type a few letters to find one.
    </p>
    <PutRightSheet v-if="chosen" :job="job" :entry="chosen" @close="chosen = null" />
  </SheetDialog>
</template>
