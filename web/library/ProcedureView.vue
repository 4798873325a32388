<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { Procedure } from '../../core/procedure/index.ts';
import { planRefit } from '../../core/refit/index.ts';
import FigureRow from '../parts/FigureRow.vue';
import SourceNote from '../parts/SourceNote.vue';
import { api } from '../stores/api.ts';

const route = useRoute();
const procedure = shallowRef<Procedure | null>(null);
const failed = ref('');
watch(
  () => String(route.params.id),
  async (id) => {
    procedure.value = await api.get<Procedure>(`/procedures/${id}`).catch((error: unknown) => {
      failed.value = error instanceof Error ? error.message : String(error);
      return null;
    });
  },
  { immediate: true },
);
const name = (id: string): string => procedure.value?.items.find((item) => item.id === id)?.name ?? id;
const bends = computed(() => {
  const { value } = procedure;
  if (value === null) return [];
  const plan = planRefit(
    value.items.map((item, index) => ({ id: item.id, name: item.name, stripOrder: index + 1 })),
    value.constraints,
  );
  return plan.ok
    ? plan.steps.flatMap(({ itemId, movedBy }) =>
        movedBy.flatMap((constraint) => (constraint.kind === 'before' && constraint.a === itemId ? [constraint] : [])),
      )
    : [];
});
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/procedures">To the procedures</RouterLink>
  </p>
  <div v-else-if="procedure" tabindex="0" class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_340px]">
    <section class="min-w-0 px-4 py-6 md:px-7">
      <h1 class="text-[1.75rem]">{{ procedure.name }}</h1>
      <p class="text-soft">
        {{ procedure.family }} · version {{ procedure.version }} · <SourceNote :source="procedure.source" />
      </p>
      <h2 class="mb-1 mt-6 text-sm font-bold">Comes off, in this order</h2>
      <ol class="rows border-y border-line">
        <li
          v-for="(item, index) in procedure.items"
          :key="item.id"
          class="grid grid-cols-[2rem_1fr] gap-x-3 py-2.5 md:grid-cols-[2rem_15rem_1fr_9rem]"
        >
          <span class="figure pt-1 text-sm text-oxide">{{ index + 1 }}</span>
          <span class="font-semibold"
            >{{ item.name
            }}<span v-if="item.singleUse" class="block text-sm font-normal text-brass"
              >single use <span class="code">{{ item.partNumber }}</span></span
            ></span
          >
          <span class="text-[0.9375rem] text-soft max-md:col-start-2"
            >{{ item.note }}<span v-if="item.tool" class="block text-sm">{{ item.tool }}</span></span
          >
          <span v-if="item.fasteners" class="text-[0.9375rem] max-md:col-start-2 md:text-right"
            >{{ item.fasteners.count }} × {{ item.fasteners.thread
            }}<span class="block font-bold">{{ item.fasteners.spec?.text ?? 'no torque given' }}</span></span
          >
        </li>
      </ol>
    </section>
    <aside
      class="border-t border-line bg-card px-4 py-6 md:px-6 lg:border-l lg:border-t-0"
      aria-label="What binds the way back"
    >
      <h2 class="text-lg">What bends the way back</h2>
      <ul class="rows mt-2 border-y border-line text-[0.9375rem]">
        <li v-for="bend in bends" :key="bend.id" class="py-2">
          <span class="font-semibold">{{ name(bend.a) }}</span> before {{ name(bend.b).toLowerCase() }}:
          {{ bend.reason }}.
        </li>
      </ul>
      <p class="mt-2 text-sm text-soft">
        {{ procedure.constraints.length }} rules in all; the others agree with the plain mirror.
      </p>
      <h2 class="mt-6 text-lg">Openings</h2>
      <dl class="rows mt-1 border-y border-line text-[0.9375rem]">
        <FigureRow v-for="opening in procedure.openings" :key="opening.id" :label="opening.name">{{
          opening.plugWith
        }}</FigureRow>
      </dl>
      <h2 class="mt-6 text-lg">Needed</h2>
      <ul class="rows mt-1 border-y border-line text-[0.9375rem]">
        <li v-for="need in procedure.needs" :key="need.id" class="py-1.5">
          {{ need.name }} <span class="code text-sm text-soft">{{ need.partNumber }}</span>
        </li>
      </ul>
    </aside>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the procedure</p>
</template>
