<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { computed } from 'vue';
import type { JobUnit } from '../../../core/job/index.ts';
import { UNIT_FORMS } from '../../../core/clean/index.ts';

/** Units on the bench side by side; what is inside is of the one that is worked on. `mark` says how far each is, in a word. */
const props = defineProps<{ units: readonly JobUnit[]; current: string; mark?: (unit: JobUnit) => string }>();
const emit = defineEmits<{ pick: [id: string] }>();
const index = computed(() =>
  Math.max(
    0,
    props.units.findIndex(({ id }) => id === props.current),
  ),
);
function pick(at: number): void {
  const unit = props.units[at];
  if (unit !== undefined) emit('pick', unit.id);
}
</script>

<template>
  <TabGroup v-if="units.length > 1" as="div" :selected-index="index" @change="pick">
    <TabList class="flex flex-wrap gap-x-6 gap-y-1 border-b border-line" aria-label="Units on the bench">
      <Tab v-for="unit in units" :key="unit.id" v-slot="{ selected }" as="template">
        <button
          type="button"
          class="-mb-px min-h-12 border-b-[3px] pb-1 text-left"
          :class="selected ? 'border-bottle font-bold' : 'border-transparent text-soft hover:text-ink'"
        >
          {{ unit.name }}
          <span class="block text-sm font-normal text-soft">{{ mark?.(unit) ?? UNIT_FORMS[unit.form] }}</span>
        </button>
      </Tab>
    </TabList>
    <TabPanels>
      <TabPanel v-for="unit in units" :key="unit.id" :tabindex="-1"><slot v-if="unit.id === current" /></TabPanel>
    </TabPanels>
  </TabGroup>
  <div v-else><slot /></div>
</template>
