<script setup lang="ts">
import { computed, ref } from 'vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useOutbox, type Waiting } from '../stores/outbox.ts';
import { useShop } from '../stores/shop.ts';
import NotTakenEntry from './NotTakenEntry.vue';

/** Everything that waits for the server, a list for each job, in the order in which it goes. */
defineEmits<{ close: [] }>();
const outbox = useOutbox();
const shop = useShop();
/** What is about to be dropped; asked once more, since it is nowhere else. */
const dropping = ref('');
const jobs = computed(() => {
  const byJob = new Map<string, Waiting[]>();
  for (const entry of outbox.waiting) byJob.set(entry.jobId, [...(byJob.get(entry.jobId) ?? []), entry]);
  return [...byJob].map(([jobId, entries]) => ({ jobId, entries }));
});
async function drop(entry: Waiting): Promise<void> {
  await outbox.drop(entry);
  dropping.value = '';
}
</script>

<template>
  <SheetDialog title="Waiting for the server" wide @close="$emit('close')">
    <NotTakenEntry v-for="entry in outbox.notTaken" :key="entry.command.id" :entry="entry" class="mb-4" />
    <p v-if="outbox.count === 0">
      {{ outbox.notTaken.length > 0 ? 'All else you did is saved.' : 'Nothing waits: all you did is saved.' }}
    </p>
    <template v-else>
      <p>
        {{ outbox.trouble || 'The server is out of reach.' }} What you do is kept in this browser, and goes in this
        order when it is back.
      </p>
      <p v-if="outbox.onlyHere > 0" class="mt-2 font-bold text-alarm">
        This browser does not keep {{ outbox.onlyHere }} of these: they, or their photos, are only in this tab. Leave it
        open until they are sent.
      </p>
      <section v-for="{ jobId, entries } in jobs" :key="jobId" class="mt-5">
        <h3 class="flex flex-wrap items-baseline justify-between gap-x-4">
          <RouterLink class="link font-bold" :to="`/jobs/${jobId}`" @click="$emit('close')">{{
            entries[0]?.jobName || 'A job'
          }}</RouterLink>
          <span class="text-sm text-soft">{{ entries.length }} waiting</span>
        </h3>
        <ol class="rows mt-1">
          <li
            v-for="entry in entries"
            :key="entry.command.id"
            class="flex flex-wrap items-center justify-between gap-x-4 py-1.5"
          >
            <span class="min-w-0">
              {{ entry.meant || 'An entry of an earlier version of this program' }}
              <span class="text-sm text-soft"
                >{{ shop.firstName(entry.command.by) }}, {{ shop.say.clock(entry.command.at) }}</span
              >
            </span>
            <span v-if="dropping === entry.command.id" class="flex flex-wrap items-center gap-x-3">
              <span class="text-sm">It is nowhere else.</span>
              <button type="button" class="quiet text-alarm" @click="drop(entry)">Drop it</button>
              <button type="button" class="quiet" @click="dropping = ''">Keep it</button>
            </span>
            <button v-else type="button" class="quiet text-sm" @click="dropping = entry.command.id">
              Drop<span class="sr-only"> {{ entry.meant }}</span>
            </button>
          </li>
        </ol>
      </section>
      <p class="mt-5"><button type="button" class="primary" @click="outbox.flush()">Try again now</button></p>
    </template>
  </SheetDialog>
</template>
