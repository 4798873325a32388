<script setup lang="ts">
import { computed, ref } from 'vue';
import { FEATURES, matchVariant, UNIT_KINDS, type UnitObjectKind } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import VariantFields from '../../parts/VariantFields.vue';
import { emptyVariant, readVariant, variantText } from '../../parts/variantText.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** The unit in hand against what the family says the computer expects. */
const emit = defineEmits<{ done: [] }>();
const store = useJob();
const form = useForm();
const types = computed(() => store.family?.unitTypes ?? []);
const kind = ref<UnitObjectKind | null>(types.value[0]?.kind ?? null);
const type = computed(() => types.value.find((each) => each.kind === kind.value) ?? null);
const place = ref(type.value?.places[0] ?? '');
const fitted = computed(() => store.job?.vehicle.units.find((unit) => unit.kind === kind.value));
const text = ref(
  fitted.value?.features
    ? variantText(fitted.value.features)
    : { ...emptyVariant(), mark: fitted.value?.variant ?? '' },
);
const read = computed(() => readVariant(text.value));
const match = computed(() =>
  type.value === null || !read.value.ok ? null : matchVariant(type.value.expected, read.value.features),
);
const expected = computed(() => (type.value === null ? null : variantText(type.value.expected)));

function compare(): void {
  if (kind.value === null || !read.value.ok) return;
  if (form.send('compare-variant', { id: freshId(), kind: kind.value, place: place.value, found: read.value.features }))
    emit('done');
}
</script>

<template>
  <form v-if="type && expected" class="grid gap-4" @submit.prevent="compare">
    <ChoiceRow
      v-model="kind"
      label="Unit"
      :options="types.map((each) => ({ id: each.kind, name: UNIT_KINDS[each.kind] }))"
    />
    <dl class="grid gap-x-6 gap-y-1 border-y border-line py-3 sm:grid-cols-3">
      <div v-for="(feature, id) in FEATURES" :key="id">
        <dt class="text-sm text-soft">{{ feature.name }}, expected</dt>
        <dd class="font-bold">{{ expected[id] || 'not known' }}</dd>
      </div>
    </dl>
    <VariantFields v-model="text" :errors="read.ok ? {} : read.errors" />
    <p
      v-if="match"
      role="status"
      class="font-semibold"
      :class="match.verdict === 'fits' ? 'text-moss' : match.verdict === 'not known' ? 'text-soft' : 'text-oxide'"
    >
      {{ match.words }}
    </p>
    <p v-if="form.general()" class="text-sm font-semibold text-alarm" role="alert">{{ form.general() }}</p>
    <button type="submit" class="primary justify-self-start" :disabled="!read.ok">Keep the comparison</button>
  </form>
  <p v-else class="max-w-prose">
    The vehicle has no engine family, so there is nothing to compare with. Give it one in
    <RouterLink class="link" :to="`/vehicles/${store.job?.vehicle.id}/edit`">the vehicle file</RouterLink>.
  </p>
</template>
