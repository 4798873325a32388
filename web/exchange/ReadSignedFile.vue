<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { SignedLook } from '../../contract/index.ts';
import { vehicleName } from '../../core/vehicle/index.ts';
import { lookAtFile, takeFile } from '../data/exchange.ts';
import { lookForVehicles } from '../data/vehicles.ts';
import { useTakeFile } from '../library/takeFile.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import PickField from '../parts/PickField.vue';
import type { Pick } from '../parts/picks.ts';
import { useShop } from '../stores/shop.ts';
import BesideRows from './BesideRows.vue';

/** A file of another shop: who signed it, what it holds beside ours, and what of it is taken. */
const { onto } = defineProps<{
  /** The one of ours that was open when it was asked for; empty for none. */
  onto: string;
}>();
const emit = defineEmits<{ taken: [] }>();
const shop = useShop();
const file = shallowRef<unknown>(null);
const look = shallowRef<SignedLook | null>(null);
const chosen = ref<string | null>(null);
const other = ref('');
/** Which of ours: another that was picked comes before the likeliest. */
const target = computed(() => other.value || (chosen.value ?? ''));
const keys = ref<string[]>([]);
const said = ref('');
const failed = ref('');
const { wrong, readFile } = useTakeFile(async (read) => {
  said.value = failed.value = '';
  look.value = null;
  look.value = await lookAtFile(read);
  file.value = read;
  const [first] = look.value.life?.ours ?? [];
  other.value = '';
  chosen.value = onto || (first?.id ?? null);
  keys.value = (look.value.knowHow ?? []).filter(({ state }) => state === 'new').map(({ key }) => key);
});
const life = computed(() => look.value?.life ?? null);
const whose = computed(() => {
  if (life.value === null) return '';
  const { of } = life.value;
  return of.kind === 'unit'
    ? `${of.unitKind} ${of.partNumber}`
    : `${of.plate}, ${[of.make, of.model].filter(Boolean).join(' ')}`;
});
const SAME = { vin: 'VIN', plate: 'plate', id: 'number' } as const;
const ours = computed(() => {
  const likely = (life.value?.ours ?? []).map(({ id, name, by }) => ({ id, name: `${name} (same ${SAME[by]})` }));
  return onto === '' || likely.some(({ id }) => id === onto)
    ? likely
    : [{ id: onto, name: 'The one you came from' }, ...likely];
});
async function lookFor(typed: string): Promise<readonly Pick[]> {
  return (await lookForVehicles(typed)).map((each) => ({ id: each.id, words: each.plate, about: vehicleName(each) }));
}
async function take(): Promise<void> {
  failed.value = '';
  if (look.value === null) return;
  try {
    const { taken } = await takeFile(
      file.value,
      look.value.kind === 'life' ? { onto: target.value } : { keys: keys.value },
    );
    const parts = look.value.kind === 'life' ? ['chapter', 'chapters'] : ['thing', 'things'];
    said.value =
      taken === 0 ? 'All of it was here already.' : `${taken} ${taken === 1 ? parts[0] : parts[1]} taken, as theirs.`;
    look.value = null;
    emit('taken');
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <section aria-labelledby="read-title">
    <h2 id="read-title" class="text-xl">Read a file of another shop</h2>
    <label class="quiet mt-2 inline-flex cursor-pointer"
      >Pick the file<input type="file" accept=".json,application/json" class="sr-only" @change="readFile"
    /></label>
    <ul v-if="wrong.length > 0" class="mt-2 font-semibold text-alarm" role="alert">
      <li v-for="line in wrong" :key="line">{{ line }}</li>
    </ul>
    <p v-if="said" class="mt-2 border-l-4 border-moss pl-3" role="status">{{ said }}</p>
    <div v-if="look" class="mt-4 max-w-4xl border border-line bg-card p-4">
      <p class="text-lg">
        <b>{{ look.shop.name || 'A shop without a name' }}</b> signed it,
        {{ shop.say.day(shop.say.isoDay(look.madeAt)) }}.
      </p>
      <p class="mt-1">
        Their key: <span class="code text-lg font-bold">{{ look.shop.fingerprint }}</span><span
          v-if="look.shop.known?.confirmedAt"
          class="text-moss"
        >
          · compared with them</span
        >
      </p>
      <p v-if="!look.shop.known?.confirmedAt" class="mt-1 max-w-prose text-note text-brass">
        Nobody here has compared this key with them. Call them on a number you know and have them read theirs: until
        then the file is whole, but anybody may have made it.
      </p>
      <template v-if="life">
        <p class="mt-4">
          The life of <b>{{ whose }}</b>: {{ life.chapters }} {{ life.chapters === 1 ? 'chapter' : 'chapters' }}, told
          by {{ life.shops.join(', ') }}.
        </p>
        <ChoiceRow v-if="ours.length > 0" v-model="chosen" class="mt-3" label="Here it is" :options="ours" />
        <PickField
          v-if="life.of.kind === 'vehicle'"
          v-model="other"
          class="mt-3 max-w-md"
          :label="ours.length > 0 ? 'Or another of ours' : 'Which of ours it is'"
          placeholder="Plate, make or owner"
          :look="lookFor"
        />
        <p v-else-if="ours.length === 0" class="mt-2 text-brass">
          No unit here has that number. Note it among the units first, then read the file again.
        </p>
      </template>
      <BesideRows v-else-if="look.knowHow" v-model="keys" class="mt-4" :rows="look.knowHow" />
      <p v-if="failed" class="mt-3 font-semibold text-alarm" role="alert">{{ failed }}</p>
      <p class="mt-4 flex flex-wrap items-center gap-4">
        <button
          type="button"
          class="primary"
          :disabled="look.kind === 'life' ? target === '' : keys.length === 0"
          @click="take"
        >
          {{
            look.kind === 'life' ? 'Take it as their history' : `Take ${keys.length} of ${look.knowHow?.length ?? 0}`
          }}
        </button>
        <button type="button" class="faint" @click="look = null">Leave it</button>
      </p>
      <p v-if="life" class="mt-2 text-fine text-soft">It counts in no figure, due day or result of this shop.</p>
    </div>
  </section>
</template>
