<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import type { TypedPart } from '../../core/job/index.ts';
import { type NotTaken, useOutbox } from '../stores/outbox.ts';
import { useShop } from '../stores/shop.ts';
import ChangeNotTaken from './ChangeNotTaken.vue';
import type { OthersEntry } from './meanwhile.ts';

/** One entry that was not taken: what it says beside what others did on the job meanwhile, for a person to decide. */
const props = defineProps<{ entry: NotTaken }>();
const outbox = useOutbox();
const shop = useShop();
const others = shallowRef<readonly OthersEntry[]>([]);
/** What was typed into it; where all of it was picked, it is done anew in the job. */
const typed = shallowRef<readonly TypedPart[]>([]);
const changing = ref(false);
onMounted(async () => {
  if (props.entry.gone) return;
  const { typedParts } = await import('../stores/engine.ts');
  typed.value = typedParts(props.entry.command);
  const { doneMeanwhile } = await import('./meanwhile.ts');
  // What cannot be read now is not shown; the reason stands without it.
  others.value = await doneMeanwhile(props.entry).catch(() => []);
});
</script>

<template>
  <section class="py-2">
    <p class="font-bold">
      {{ entry.gone ? '' : 'Not taken: ' }}{{ entry.message }}
      <RouterLink v-if="entry.jobName" class="link ml-2 font-normal" :to="`/jobs/${entry.jobId}`">{{
        entry.jobName
      }}</RouterLink>
    </p>
    <p v-if="entry.wouldHelp">{{ entry.wouldHelp }}</p>
    <div v-if="entry.meant" class="mt-1 grid gap-x-8 gap-y-2 sm:grid-cols-2">
      <div class="border-l-2 border-brass pl-3">
        <h2 class="text-sm font-bold text-soft">You had, {{ shop.say.clock(entry.command.at) }}</h2>
        <p>{{ entry.meant }}</p>
      </div>
      <div v-if="others.length > 0" class="border-l-2 border-bottle pl-3">
        <h2 class="text-sm font-bold text-soft">On the job meanwhile</h2>
        <p v-for="other in others" :key="other.seq">
          {{ other.words }}
          <span class="text-sm text-soft">{{ shop.firstName(other.by) }}, {{ shop.say.clock(other.at) }}</span>
        </p>
      </div>
    </div>
    <ChangeNotTaken v-if="changing" :entry="entry" :parts="typed" @close="changing = false" />
    <p v-else class="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1">
      <button v-if="typed.length > 0" type="button" class="quiet" @click="changing = true">Change it</button>
      <button v-if="!entry.gone" type="button" class="quiet" @click="outbox.again(entry)">Send it again</button>
      <RouterLink class="quiet" :to="`/jobs/${entry.jobId}`">To the job, to do it anew</RouterLink>
      <button type="button" class="quiet" @click="outbox.read(entry)">
        {{ others.length > 0 ? 'Leave it as it is there' : 'I have read it' }}
      </button>
    </p>
  </section>
</template>
