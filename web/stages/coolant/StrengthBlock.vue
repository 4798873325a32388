<script setup lang="ts">
import { FIELDS } from '../../../core/quantity/index.ts';
import { ref } from 'vue';
import type { Glycol } from '../../../core/coolant/index.ts';
import type { Job } from '../../../core/job/index.ts';
import type { CoolantSystem } from '../../../core/procedure/index.ts';
import { format } from '../../../core/quantity/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FieldBox from '../../parts/FieldBox.vue';
import FigureField from '../../parts/FigureField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** The strength as a refractometer, strip or hydrometer reads it, on the scale of its own glycol. */
const props = defineProps<{ job: Job; system: CoolantSystem }>();
const test = useForm();
const reading = ref('');
/** Once it was read before, what is read next is read after. */
const readWhen = ref<'before' | 'after' | null>(
  props.job.coolantTests.some(({ when }) => when === 'before') ? 'after' : 'before',
);
const TOOLS = { refractometer: 'Refractometer', strip: 'Test strip', hydrometer: 'Hydrometer' } as const;
const tool = ref<keyof typeof TOOLS>('refractometer');
const scale = ref<Glycol | null>(null);
function keepReading(): void {
  if (
    test.send('test-coolant', {
      id: freshId(),
      when: readWhen.value ?? 'before',
      tool: tool.value,
      scale: scale.value ?? props.system.glycol,
      typed: reading.value,
    })
  )
    [reading.value, readWhen.value] = ['', 'after'];
}
</script>

<template>
  <section>
    <h3 class="mb-2 text-lg">Strength, as read</h3>
    <ul v-if="job.coolantTests.length > 0" class="rows mb-3 border-y border-line">
      <li v-for="each in job.coolantTests" :key="each.id" class="flex justify-between gap-4 py-2">
        <span>{{ each.when === 'before' ? 'Before' : 'After' }}, {{ TOOLS[each.tool].toLowerCase() }}</span>
        <b class="text-harbour"
          >{{ format({ value: each.celsius, unit: '°C' }, { decimals: 0 }) }}, {{ Math.round(each.share * 100) }} %</b
        >
      </li>
    </ul>
    <form v-if="job.status === 'open'" class="flex flex-wrap items-start gap-x-4 gap-y-3" @submit.prevent="keepReading">
      <ChoiceRow
        v-model="readWhen"
        label="When"
        :options="[
          { id: 'before', name: 'Before' },
          { id: 'after', name: 'After' },
        ]"
      />
      <ChoiceRow
        :model-value="scale ?? system.glycol"
        label="Scale that was read"
        :options="[
          { id: 'ethylene', name: 'Ethylene' },
          { id: 'propylene', name: 'Propylene' },
        ]"
        @update:model-value="scale = $event"
      />
      <FieldBox v-slot="{ id }" label="Read with">
        <select :id="id" v-model="tool" class="input">
          <option v-for="(name, key) in TOOLS" :key="key" :value="key">{{ name }}</option>
        </select>
      </FieldBox>
      <FigureField
        v-model="reading"
        class="w-36"
        label="Freezes at"
        :field="FIELDS.freezePoint"
        placeholder="−37 °C"
        :error="test.error('typed') ?? test.error('scale') ?? test.general('typed', 'scale')"
      />
      <button type="submit" class="quiet mt-6">Record</button>
    </form>
  </section>
</template>
