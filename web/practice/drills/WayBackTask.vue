<script setup lang="ts">
import { computed, ref } from 'vue';
import { judgeWayBack, wayBackDrill } from '../../../core/drills/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import JudgedLine from './JudgedLine.vue';

/** A shuffled flange is put in the order in which it goes back; each slip with its reason. */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const drill = wayBackDrill(props.seed);
const order = ref<string[]>([]);
const done = ref(false);
const nameOf = (id: string): string => drill.items.find((item) => item.id === id)?.name ?? id;
const left = computed(() => drill.items.filter(({ id }) => !order.value.includes(id)));
const judged = computed(() => judgeWayBack(drill, order.value));
function put(id: string): void {
  order.value = [...order.value, id];
}
function move(index: number, by: number): void {
  const next = [...order.value];
  const [taken] = next.splice(index, 1);
  if (taken !== undefined) next.splice(index + by, 0, taken);
  order.value = next;
}
function judge(): void {
  done.value = true;
  emit('judged', { right: judged.value.right, of: judged.value.of });
}
</script>

<template>
  <div class="grid max-w-4xl gap-x-10 gap-y-5 md:grid-cols-2">
    <section aria-label="On the bench">
      <h2 class="text-heading">On the bench</h2>
      <p class="text-note text-soft">Tap what goes on next.</p>
      <ul class="rows mt-2 border-y border-line">
        <li v-for="item in left" :key="item.id">
          <button
            type="button"
            class="flex min-h-12 w-full items-center justify-between gap-3 py-1.5 text-left font-semibold hover:text-bottle"
            @click="put(item.id)"
          >
            {{ item.name }}<span aria-hidden="true">→</span>
          </button>
        </li>
        <li v-if="left.length === 0" class="py-3 text-soft">Nothing is left.</li>
      </ul>
    </section>
    <section aria-label="Goes back">
      <h2 class="text-heading">Goes back</h2>
      <p class="text-note text-soft">First at the top; move what sits wrong.</p>
      <ol class="rows mt-2 border-y border-line">
        <li v-for="(id, index) in order" :key="id" class="flex min-h-12 items-center gap-2 py-1">
          <span class="w-6 text-right font-bold tabular-nums text-brass">{{ index + 1 }}</span>
          <span
            class="min-w-0 flex-1 font-semibold"
            :class="done && judged.broken.some(({ first, then }) => first === id || then === id) ? 'text-oxide' : ''"
            >{{ nameOf(id) }}</span
          >
          <template v-if="!done">
            <button
              type="button"
              class="quiet size-11 p-0!"
              :disabled="index === 0"
              :aria-label="`${nameOf(id)} earlier`"
              @click="move(index, -1)"
            >
              ↑
            </button>
            <button
              type="button"
              class="quiet size-11 p-0!"
              :disabled="index === order.length - 1"
              :aria-label="`${nameOf(id)} later`"
              @click="move(index, 1)"
            >
              ↓
            </button>
          </template>
        </li>
        <li v-if="order.length === 0" class="py-3 text-soft">Nothing is on yet.</li>
      </ol>
    </section>
    <div class="md:col-span-2">
      <button v-if="!done" type="button" class="primary" :disabled="left.length > 0" @click="judge">
        That is the order
      </button>
      <template v-else>
        <JudgedLine
          :right="judged.broken.length === 0"
          :words="judged.broken.length === 0 ? 'It goes together.' : `${judged.right} of ${judged.of} hold.`"
        />
        <ul class="mt-3 grid gap-1.5">
          <li v-for="rule in judged.broken" :key="`${rule.first} ${rule.then}`">
            <b>{{ nameOf(rule.first) }}</b> before <b>{{ lowerFirst(nameOf(rule.then)) }}</b>: {{ rule.reason }}.
          </li>
        </ul>
      </template>
    </div>
  </div>
</template>
