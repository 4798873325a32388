<script setup lang="ts">
import { computed } from 'vue';
import { PART_FORMS, type PartForm, UNIT_FORMS } from '../../../core/clean/index.ts';
import {
  isBackStep,
  OFF_REASONS,
  type OffReason,
  type Procedure,
  type ProcedureItem,
} from '../../../core/procedure/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import { keysOf } from '../../parts/keysOf.ts';
import TextField from '../../parts/TextField.vue';

/** Its place on the way off, whether it exists only on the way back, and what it is on the bench. */
const props = defineProps<{ draft: Procedure; item: ProcedureItem }>();
const emit = defineEmits<{ put: [more: Partial<ProcedureItem>] }>();
const others = computed(() => props.draft.items.filter((each) => each.id !== props.item.id && !isBackStep(each)));
const firsts = computed(() => props.item.offAfter ?? []);
const field = (event: Event): string => (event.target as HTMLSelectElement).value;
/** A reason without an item is taken out again. */
function putFirst(index: number, more: Partial<OffReason>): void {
  const next = firsts.value.map((each, at) => (at === index ? { ...each, ...more } : each));
  const kept = next.filter(({ item }) => item !== '');
  emit('put', { offAfter: kept.length === 0 ? undefined : kept });
}
function addFirst(item: string): void {
  if (item !== '') emit('put', { offAfter: [...firsts.value, { item, kind: 'reach', reason: '' }] });
}
</script>

<template>
  <FieldBox v-slot="{ id }" label="Only on the way back: done before this goes on">
    <select
      :id="id"
      class="input"
      :value="item.backBefore ?? ''"
      @change="emit('put', { backBefore: field($event) || undefined })"
    >
      <option value="">No, it comes off and goes back</option>
      <option v-for="each in others" :key="each.id" :value="each.id">{{ each.name }}</option>
    </select>
  </FieldBox>
  <template v-if="!isBackStep(item)">
    <div v-for="(first, index) in firsts" :key="first.item" class="grid grid-cols-2 items-end gap-3">
      <FieldBox v-slot="{ id }" label="Comes off after">
        <select :id="id" class="input" :value="first.item" @change="putFirst(index, { item: field($event) })">
          <option value="">Nothing: take this out</option>
          <option v-for="each in others" :key="each.id" :value="each.id">{{ each.name }}</option>
        </select>
      </FieldBox>
      <FieldBox v-slot="{ id }" label="because that">
        <select
          :id="id"
          class="input"
          :value="first.kind"
          @change="putFirst(index, { kind: field($event) as OffReason['kind'] })"
        >
          <option v-for="each in keysOf(OFF_REASONS)" :key="each" :value="each">{{ OFF_REASONS[each] }}</option>
        </select>
      </FieldBox>
      <TextField
        class="col-span-2"
        :model-value="first.reason"
        label="In a few words"
        placeholder="the rail hangs on it"
        @update:model-value="putFirst(index, { reason: $event })"
      />
    </div>
    <FieldBox v-slot="{ id }" :label="firsts.length === 0 ? 'Comes off after' : 'And after'">
      <select :id="id" class="input" value="" @change="addFirst(field($event))">
        <option value="">nothing in particular</option>
        <option
          v-for="each in others.filter(({ id: other }) => !firsts.some((first) => first.item === other))"
          :key="each.id"
          :value="each.id"
        >
          {{ each.name }}
        </option>
      </select>
    </FieldBox>
    <TextField
      v-if="item.kind !== 'fasteners' && item.kind !== 'gasket'"
      :model-value="item.mayStay ?? ''"
      label="May stay connected, tied"
      placeholder="to the strut, or empty where it comes off"
      @update:model-value="emit('put', { mayStay: $event || undefined })"
    />
    <FieldBox v-if="item.kind !== 'unit'" v-slot="{ id }" label="Looked at and cleaned on the bench as">
      <select
        :id="id"
        class="input"
        :value="item.part ?? ''"
        @change="emit('put', { part: (field($event) || undefined) as PartForm | undefined })"
      >
        <option value="">No lane of its own</option>
        <option v-for="each in PART_FORMS" :key="each" :value="each">{{ upperFirst(UNIT_FORMS[each]) }}</option>
      </select>
    </FieldBox>
  </template>
</template>
