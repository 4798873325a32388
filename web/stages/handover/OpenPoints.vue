<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { type Job, type OpenPoint, openPoints } from '../../../core/job/index.ts';
import { type Field, FIELDS } from '../../../core/quantity/index.ts';
import { METER_FIELDS } from '../../../core/vehicle/index.ts';
import FigureField from '../../parts/FigureField.vue';
import { numberIn } from '../../parts/numberIn.ts';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** What is open when the vehicle goes; what may stay so needs a reason, something to watch, and a day to look again. */
const props = defineProps<{ job: Job }>();
const form = useForm();
const points = computed(() => openPoints(props.job).filter(({ asks, code }) => asks && code !== 'nothing-decided'));
const leaving = ref<string | null>(null);
const typed = reactive({ reason: '', watch: '', days: '', use: '' });
const keyOf = ({ code, subject }: OpenPoint): string => `${code} ${subject}`;
/** What cannot be read stays in its field, and is said beside it. */
const wrong = ref<Readonly<Record<'days' | 'use', string | null>>>({ days: null, use: null });
const whole = (text: string, field: Field): number | null =>
  text.trim() === '' ? null : Math.round(numberIn(text, field));
const unread = (value: number | null): string | null =>
  value !== null && (Number.isNaN(value) || value < 0) ? 'Expected a number, zero or more.' : null;
function leave(point: OpenPoint): void {
  const { code, subject } = point;
  const { reason, watch } = typed;
  const [days, use] = [whole(typed.days, FIELDS.days), whole(typed.use, METER_FIELDS[props.job.vehicle.meterUnit])];
  wrong.value = { days: unread(days), use: unread(use) };
  if (wrong.value.days !== null || wrong.value.use !== null) return;
  if (form.send('leave-open', { code, subject, reason, watch, days, use })) {
    leaving.value = null;
    Object.assign(typed, { reason: '', watch: '', days: '', use: '' });
  }
}
</script>

<template>
  <section v-if="points.length > 0" id="still-open" aria-label="Still open">
    <h3 class="text-sm font-bold">Still open</h3>
    <ul class="rows mt-1 border-y border-line">
      <li v-for="point in points" :key="keyOf(point)" class="py-2">
        <p class="font-semibold" :class="point.left ? 'text-brass' : 'text-oxide'">{{ point.words }}</p>
        <p v-if="point.left" class="text-sm text-soft">
          {{ point.left.reason }}; watch {{ point.left.watch
          }}<template v-if="point.left.days !== null">; again in {{ point.left.days }} days</template
          ><template v-if="point.left.use !== null"
            >; again after {{ point.left.use }} {{ job.vehicle.meterUnit }}</template
          >
        </p>
        <button v-else-if="leaving !== keyOf(point)" type="button" class="quiet mt-1" @click="leaving = keyOf(point)">
          It goes like this, because …
        </button>
        <form v-else class="mt-2 grid gap-2" @submit.prevent="leave(point)">
          <TextField v-model="typed.reason" label="Because" :error="form.error('reason')" />
          <TextField v-model="typed.watch" label="What to watch" :error="form.error('watch')" />
          <div class="grid grid-cols-2 gap-2">
            <FigureField
              v-model="typed.days"
              label="Look again in, days"
              :field="FIELDS.days"
              :error="wrong.days ?? form.error('days')"
            />
            <FigureField
              v-model="typed.use"
              :label="`or after, ${job.vehicle.meterUnit}`"
              :field="METER_FIELDS[job.vehicle.meterUnit]"
              :error="wrong.use ?? form.error('use')"
            />
          </div>
          <p
            v-if="form.general('reason', 'watch', 'days', 'use')"
            class="text-sm font-semibold text-alarm"
            role="alert"
          >
            {{ form.general('reason', 'watch', 'days', 'use') }}
          </p>
          <button type="submit" class="quiet justify-self-start">Leave it open</button>
        </form>
      </li>
    </ul>
  </section>
</template>
