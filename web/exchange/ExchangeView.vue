<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { ShopsReply } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { confirmShop, knowHowAddress, readShops } from '../data/exchange.ts';
import { useProcedures } from '../data/procedures.ts';
import { useShop } from '../stores/shop.ts';
import ReadSignedFile from './ReadSignedFile.vue';

/** Files between shops: what is read of others, what is given, and whose keys were compared. */
const route = useRoute();
const shop = useShop();
const { rows: procedures } = useProcedures();
const reply = shallowRef<ShopsReply | null>(null);
const failed = ref('');
const picked = ref<string[]>([]);
const knowledge = ref(false);
const may = computed(() => shop.person !== null && mayChange(shop.person.role));
const onto = computed(() => (typeof route.query.onto === 'string' ? route.query.onto : ''));
const chosen = (kind: 'procedure' | 'recipe'): string[] =>
  picked.value.filter((key) => key.startsWith(`${kind}:`)).map((key) => key.slice(kind.length + 1));
const address = computed(() =>
  knowHowAddress(
    { procedures: chosen('procedure'), recipes: chosen('recipe'), knowledge: knowledge.value },
    shop.personId,
  ),
);
async function load(): Promise<void> {
  try {
    reply.value = await readShops();
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
void load();
async function compared(fingerprint: string, confirmed: boolean): Promise<void> {
  failed.value = '';
  try {
    await confirmShop(fingerprint, confirmed);
    await load();
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <div class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <h1 class="text-title">Files between shops</h1>
    <p class="mt-1 max-w-prose text-soft">
      A vehicle’s life, and what a shop knows, go from one shop to the next as files that the shop signs. What comes in
      stays theirs: it is read beside our own work and changes none of our figures.
    </p>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <p v-if="reply" class="mt-4">
      Our own key, to be read out to whoever asks:
      <span class="code block text-2xl font-bold">{{ reply.own.fingerprint }}</span>
    </p>
    <ReadSignedFile v-if="may" class="mt-8" :onto="onto" @taken="load" />
    <p v-else class="mt-6 text-soft">A lead or the owner reads and hands on files.</p>
    <section v-if="reply && reply.rows.length > 0" class="mt-8 max-w-4xl" aria-labelledby="shops-title">
      <h2 id="shops-title" class="text-xl">Shops we have files of</h2>
      <ul class="rows mt-2 border-y border-line">
        <li v-for="row in reply.rows" :key="row.key" class="flex flex-wrap items-center gap-x-6 gap-y-1 py-2.5">
          <span class="min-w-48 flex-1 font-semibold">{{ row.name }}</span>
          <span class="code">{{ row.fingerprint }}</span>
          <span class="text-note" :class="row.confirmedAt ? 'text-moss' : 'text-brass'">{{
            row.confirmedAt
              ? `compared by ${shop.firstName(row.confirmedBy ?? '')}, ${shop.say.day(shop.say.isoDay(row.confirmedAt))}`
              : 'not compared with them'
          }}</span>
          <button
            v-if="may"
            type="button"
            :class="row.confirmedAt ? 'faint' : 'quiet'"
            @click="compared(row.fingerprint, row.confirmedAt === null)"
          >
            {{ row.confirmedAt ? 'Take that back' : 'It is theirs: compared'
            }}<span class="sr-only">: {{ row.name }}</span>
          </button>
        </li>
      </ul>
    </section>
    <section v-if="may" class="mt-8 max-w-4xl" aria-labelledby="give-title">
      <h2 id="give-title" class="text-xl">Give what we know</h2>
      <fieldset class="mt-2 grid gap-x-8 border-y border-line py-2 sm:grid-cols-2">
        <legend class="sr-only">What goes into the file</legend>
        <label v-for="each in procedures ?? []" :key="each.id" class="flex cursor-pointer items-baseline gap-3 py-1.5">
          <input
            v-model="picked"
            type="checkbox"
            class="size-4.5 shrink-0 translate-y-0.5 accent-bottle"
            :value="`procedure:${each.id}`"
          />
          <span
            >{{ each.name }} <span class="block text-fine text-soft">procedure, {{ each.family }}</span></span
          >
        </label>
        <label v-for="each in shop.recipes" :key="each.id" class="flex cursor-pointer items-baseline gap-3 py-1.5">
          <input
            v-model="picked"
            type="checkbox"
            class="size-4.5 shrink-0 translate-y-0.5 accent-bottle"
            :value="`recipe:${each.id}`"
          />
          <span>{{ each.name }} <span class="block text-fine text-soft">recipe</span></span>
        </label>
        <label class="flex cursor-pointer items-baseline gap-3 py-1.5">
          <input v-model="knowledge" type="checkbox" class="size-4.5 shrink-0 translate-y-0.5 accent-bottle" />
          <span
            >What we changed in the knowledge
            <span class="block text-fine text-soft">likelihoods, cures, codes and how customers say it</span></span
          >
        </label>
      </fieldset>
      <p class="mt-3">
        <a v-if="picked.length > 0 || knowledge" class="primary inline-flex!" :href="address" download>Make the file</a>
        <span v-else class="text-soft">Pick what goes into it.</span>
      </p>
      <p class="mt-3 max-w-prose text-fine text-soft">
        The life of a vehicle or a unit is handed on from its own page. Customers, people’s names and money are left
        out.
      </p>
    </section>
  </div>
</template>
