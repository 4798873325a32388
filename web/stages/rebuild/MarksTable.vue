<script setup lang="ts">
import { computed } from 'vue';
import {
  FEATURES,
  type Feature,
  type UnitType,
  type VariantFeatures,
  type VariantMatch,
} from '../../../core/vehicle/index.ts';

/** Mark by mark: what came off, what goes on, what the computer expects. */
const props = defineProps<{
  old: VariantFeatures;
  oldNumber: string;
  fresh: VariantFeatures;
  freshNumber: string;
  type: UnitType | null;
  match: VariantMatch | null;
}>();
const said = (value: string | number | null): string => (value === null || value === '' ? '—' : String(value));
const rows = computed(() =>
  (Object.keys(FEATURES) as Feature[]).map((feature) => ({
    feature,
    name: FEATURES[feature].name,
    old: said(props.old[feature]),
    fresh: said(props.fresh[feature]),
    wanted: said(props.type?.expected[feature] ?? null),
    differs: props.match?.differs.find((each) => each.feature === feature) ?? null,
  })),
);
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full max-w-3xl text-left">
      <thead>
        <tr class="text-sm text-soft">
          <th scope="col" class="py-1 font-normal"><span class="sr-only">Feature</span></th>
          <th scope="col" class="py-1 font-bold text-oxide">came off</th>
          <th scope="col" class="py-1 font-bold text-moss">goes on</th>
          <th scope="col" class="py-1 font-normal">the computer expects</th>
        </tr>
      </thead>
      <tbody class="rows">
        <tr class="border-t border-line">
          <th scope="row" class="py-2 pr-4 font-semibold">Part number</th>
          <td class="code py-2 pr-4">{{ oldNumber || '—' }}</td>
          <td class="code py-2 pr-4">{{ freshNumber || '—' }}</td>
          <td class="code py-2 text-soft">{{ type?.partNumber ?? '—' }}</td>
        </tr>
        <tr v-for="each in rows" :key="each.feature" class="border-t border-line">
          <th scope="row" class="py-2 pr-4 font-semibold">{{ each.name }}</th>
          <td class="py-2 pr-4">{{ each.old }}</td>
          <td class="py-2 pr-4" :class="each.differs ? 'font-bold text-alarm' : ''">
            {{ each.fresh }}<span v-if="each.differs" class="block text-sm font-normal">{{ each.differs.why }}</span>
          </td>
          <td class="py-2 text-soft">{{ each.wanted }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
