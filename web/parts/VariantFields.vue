<script setup lang="ts">
import { FIELDS } from '../../core/quantity/index.ts';
import FigureField from './FigureField.vue';
import TextField from './TextField.vue';
import type { VariantText } from './variantText.ts';

/** The features that tell variants apart, and how many bores the casting has, as typed. */
defineProps<{ errors?: Readonly<Record<string, string>> }>();
const model = defineModel<VariantText>({ required: true });
</script>

<template>
  <div class="grid gap-3 sm:grid-cols-3">
    <TextField v-model="model.mark" label="Variant mark" placeholder="C" :error="errors?.mark" />
    <FigureField
      v-model="model.portMm"
      label="Port diameter, mm"
      :field="FIELDS.portMm"
      placeholder="52"
      :error="errors?.portMm"
    />
    <TextField v-model="model.gasket" label="Gasket outline" placeholder="square, four holes" :error="errors?.gasket" />
    <FigureField
      v-model="model.pins"
      label="Connector pins"
      :field="FIELDS.count"
      placeholder="3"
      :error="errors?.pins"
    />
    <FigureField
      v-model="model.bores"
      label="Bores in the casting"
      :field="FIELDS.count"
      placeholder="1"
      :error="errors?.bores"
    />
    <TextField v-model="model.drive" label="Drive" placeholder="cable, motor, stepper, rotary" :error="errors?.drive" />
  </div>
</template>
