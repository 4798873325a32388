<script setup lang="ts">
import { METER_FIELDS } from '../../../core/vehicle/index.ts';
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';
import { figureOf } from '../../../core/figures/index.ts';
import { useShop } from '../../stores/shop.ts';

/** When the level is to be looked at again: a reminder on the vehicle after the hand-over. */
const props = defineProps<{ job: Job }>();
const recheck = useForm();
const shop = useShop();
const days = ref(String(figureOf(shop.figures, 'recheck-days')));
const use = ref('');
function remind(): void {
  const [after_, distance] = [
    numberIn(days.value, FIELDS.days),
    numberIn(use.value, METER_FIELDS[props.job.vehicle.meterUnit]),
  ];
  recheck.send('set-recheck', {
    id: freshId(),
    what: 'Coolant level and hoses',
    days: days.value.trim() === '' ? null : Number.isNaN(after_) ? -1 : Math.round(after_),
    use: use.value.trim() === '' ? null : Number.isNaN(distance) ? -1 : distance,
  });
}
const reminder = computed(() => props.job.rechecks.find(({ what }) => what === 'Coolant level and hoses') ?? null);
</script>

<template>
  <section>
    <h3 class="text-lg">Look again</h3>
    <p v-if="reminder" class="mt-1 text-moss">
      On the vehicle’s page after the hand-over: {{ reminder.what.toLowerCase()
      }}{{ reminder.days === null ? '' : ` in ${reminder.days} days`
      }}{{
        reminder.use === null
          ? ''
          : `${reminder.days === null ? '' : ' or'} after ${reminder.use} ${job.vehicle.meterUnit}`
      }}.
    </p>
    <form v-if="job.status === 'open'" class="mt-2 flex flex-wrap items-start gap-3" @submit.prevent="remind">
      <FigureField v-model="days" class="w-32" label="In days" :field="FIELDS.days" :error="recheck.error('days')" />
      <FigureField
        v-model="use"
        class="w-40"
        :label="`Or after, ${job.vehicle.meterUnit}`"
        :field="METER_FIELDS[job.vehicle.meterUnit]"
        placeholder="500"
        :error="recheck.error('use')"
      />
      <button type="submit" class="quiet mt-6">Remind us</button>
    </form>
  </section>
</template>
