<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job, JobUnit } from '../../../core/job/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import FigureField from '../../parts/FigureField.vue';
import { minorIn } from '../../parts/numberIn.ts';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import PutRight from '../entries/PutRight.vue';
import { useForm } from '../useForm.ts';

/** Another part instead of one on the bench: its item goes back as that one. */
const props = defineProps<{ job: Job; unit: JobUnit }>();
const shop = useShop();
const form = useForm();
const open = ref(false);
const partNumber = ref(props.unit.partNumber);
const origin = ref<'new' | 'rebuilt' | 'used'>('new');
const price = ref('');
const why = ref('');
const unread = ref<string | null>(null);
const renewed = computed(() => props.job.renewedParts.find((each) => each.unit === props.unit.id) ?? null);
function renew(): void {
  const minor = price.value.trim() === '' ? 0 : minorIn(price.value, shop.settings.currency);
  unread.value = Number.isNaN(minor) ? `Expected an amount, got “${price.value}”.` : null;
  if (unread.value !== null) return;
  const sent = form.send('renew-part', {
    id: freshId(),
    unit: props.unit.id,
    partNumber: partNumber.value.trim(),
    origin: origin.value,
    priceMinor: minor,
    why: why.value.trim(),
  });
  if (!sent) return;
  open.value = false;
  why.value = price.value = '';
}
</script>

<template>
  <section class="mt-4 grid max-w-2xl gap-3" aria-label="Another part instead">
    <p v-if="renewed" class="flex flex-wrap items-baseline gap-x-3">
      <span class="font-semibold text-moss"
        >{{ renewed.origin }} one goes on <span class="code">{{ renewed.partNumber }}</span></span
      >
      <span class="text-soft">{{ renewed.why }}</span>
      <PutRight :job="job" kind="part-renewed" :holds="{ id: renewed.id }" :what="unit.name" />
    </p>
    <button v-if="!open && job.status === 'open'" type="button" class="quiet justify-self-start" @click="open = true">
      {{ renewed ? 'Yet another one' : 'Renew it' }}
    </button>
    <form v-else-if="job.status === 'open'" class="grid gap-3 sm:grid-cols-3" @submit.prevent="renew">
      <TextField v-model="partNumber" label="Number" placeholder="AM-1120" :error="form.error('partNumber')" />
      <FieldBox v-slot="{ id }" label="It is">
        <select :id="id" v-model="origin" class="input">
          <option value="new">new</option>
          <option value="rebuilt">rebuilt</option>
          <option value="used">used</option>
        </select>
      </FieldBox>
      <FigureField
        v-model="price"
        :label="`Price, ${shop.settings.currency}`"
        field="money"
        placeholder="in the sum already"
        :error="unread ?? form.error('priceMinor')"
      />
      <TextField
        v-model="why"
        class="sm:col-span-2"
        label="Why does the old one not serve?"
        placeholder="cracked at the flange"
        :error="form.error('why') ?? form.general('why', 'partNumber', 'priceMinor')"
      />
      <span class="flex gap-2 self-end"
        ><button type="submit" class="quiet">Record it</button>
        <button type="button" class="faint" @click="open = false">No</button></span
      >
    </form>
  </section>
</template>
