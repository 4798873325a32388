<script setup lang="ts">
import { shallowRef } from 'vue';
import type { UnitFile } from '../../../contract/index.ts';
import { LIFE_KINDS, type UnitObject, type UnitObjectKind } from '../../../core/vehicle/index.ts';
import { readUnit, useLooseUnits } from '../../data/units.ts';
import { useShop } from '../../stores/shop.ts';

/** Used units of this kind that lie on the shelf, and the life of the one that was picked. */
const props = defineProps<{ kind: UnitObjectKind; tag: string }>();
const emit = defineEmits<{ pick: [unit: UnitObject]; life: [life: UnitFile['life']] }>();
const shop = useShop();
const { rows: shelf } = useLooseUnits(() => ({ sort: 'place', limit: '200', kind: props.kind, state: 'on the shelf' }));
const picked = shallowRef<UnitFile | null>(null);
async function pick(each: UnitObject): Promise<void> {
  // Its marks are known at once; its life may take a while to come, and another may be picked meanwhile.
  picked.value = null;
  emit('pick', each);
  const file = await readUnit(each.id).catch(() => null);
  if (file === null || props.tag !== each.id) return;
  picked.value = file;
  emit('life', file.life);
}
</script>

<template>
  <div v-if="shelf.length > 0">
    <h3 class="text-sm font-bold">On the shelf</h3>
    <ul class="mt-1 flex flex-wrap gap-2">
      <li v-for="each in shelf" :key="each.id">
        <button type="button" class="quiet" :aria-pressed="tag === each.id" @click="pick(each)">
          <span class="code">{{ each.partNumber || each.id }}</span><span class="font-normal">{{ each.place }}</span>
        </button>
      </li>
    </ul>
    <ol v-if="picked" class="mt-2 text-sm text-soft" aria-label="Its life">
      <li v-for="entry in picked.life" :key="entry.at + entry.kind">
        {{ LIFE_KINDS[entry.kind] }}{{ entry.at ? `, ${shop.say.time(entry.at)}` : ''
        }}{{ entry.priceMinor === null ? '' : `, ${shop.say.money(entry.priceMinor)}`
        }}{{ entry.note ? `: ${entry.note}` : '' }}
      </li>
    </ol>
  </div>
</template>
