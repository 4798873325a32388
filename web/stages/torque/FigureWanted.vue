<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { LikeFigure } from '../../../contract/index.ts';
import { type Job, type JobItem, wantsFigure } from '../../../core/job/index.ts';
import { JOINTS, jointOf } from '../../../core/procedure/index.ts';
import { FIELDS, format } from '../../../core/quantity/index.ts';
import { parseThread, torqueLimit } from '../../../core/torque/index.ts';
import { useRead } from '../../data/read.ts';
import FigureField from '../../parts/FigureField.vue';
import SourceNote from '../../parts/SourceNote.vue';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** A joint that calls for a figure which nobody has given: from a like job by a tap, typed, or by feel with why. */
const props = defineProps<{ job: Job; item: JobItem }>();
const form = useForm();
const text = ref('');
const source = ref('');
const why = ref('');
const changing = ref(false);
watch(
  () => props.item.id,
  () => {
    text.value = source.value = why.value = '';
    changing.value = false;
    form.clear();
  },
);
const wanted = computed(() => wantsFigure(props.item));
const { data: like } = useRead<LikeFigure[]>(() =>
  wanted.value || changing.value
    ? `/jobs/${props.job.id}/like-figures?item=${encodeURIComponent(props.item.id)}`
    : null,
);
const KIN = { vehicle: 'this vehicle', family: 'its family', engine: 'the same engine' } as const;

const limit = computed(() => {
  const { fasteners } = props.item;
  const thread = fasteners === null ? null : parseThread(fasteners.thread);
  if (thread === null) return null;
  const { nm, by, words } = torqueLimit(thread, { grade: fasteners?.grade, hole: fasteners?.hole });
  return { figure: format({ value: Number(nm.toPrecision(2)), unit: 'N·m' }), by, words };
});
const take = ({ text: figure, source: from, jobId, number, plate }: LikeFigure): boolean =>
  form.send('give-figure', {
    itemId: props.item.id,
    text: figure,
    source: from,
    like: { jobId, number, vehicle: plate },
  });
const give = (): boolean =>
  form.send('give-figure', { itemId: props.item.id, text: text.value, source: source.value, like: null });
const byFeel = (): boolean => form.send('choose-by-feel', { itemIds: [props.item.id], why: why.value });
</script>

<template>
  <section
    v-if="wanted || changing"
    class="grid gap-3 border-l-[3px] border-brass pl-4"
    aria-label="Torque figure wanted"
  >
    <div>
      <h3 class="text-lg text-brass">Torque figure wanted</h3>
      <p class="text-note text-soft">
        {{ JOINTS[jointOf(item)].name.replace(/^\w/, (first) => first.toUpperCase()) }}: it holds the engine until there
        is one, or until you say why it goes by feel.
      </p>
    </div>
    <ul v-if="like && like.length > 0" class="rows border-y border-line" aria-label="Figures of like jobs">
      <li v-for="each in like" :key="`${each.jobId} ${each.name}`">
        <button type="button" class="w-full py-2 text-left hover:text-bottle" @click="take(each)">
          <span class="flex items-baseline justify-between gap-3"
            ><span class="figure text-lg">{{ each.text }}</span
            ><span class="text-sm font-semibold text-bottle underline underline-offset-2">Take it</span></span
          >
          <span class="block text-sm text-soft"
            >{{ each.name }}, job {{ each.number }} on {{ each.plate }} {{ each.vehicle }}: {{ KIN[each.kin] }};
            <SourceNote :source="each.source"
          /></span>
        </button>
      </li>
    </ul>
    <form class="grid gap-2" @submit.prevent="give">
      <FigureField
        v-model="text"
        label="Figure"
        :field="FIELDS.torqueSpec"
        placeholder="8 to 10 N·m"
        :error="form.error('text')"
      />
      <TextField v-model="source" label="Read where" placeholder="maker’s book, page" :error="form.error('source')" />
      <button type="submit" class="quiet justify-self-start">Keep the figure</button>
    </form>
    <p v-if="limit" class="text-note text-soft">
      Never above <span class="figure font-semibold text-ink">{{ limit.figure }}</span>: there the {{ limit.by }} gives
      way ({{ limit.words }}<template v-if="!item.fasteners?.hole">, assumed</template>). A limit, not a figure.
    </p>
    <form class="flex items-end gap-2" @submit.prevent="byFeel">
      <TextField
        v-model="why"
        class="flex-1"
        label="Or by feel, because"
        placeholder="no book"
        :error="form.error('why')"
      />
      <button type="submit" class="quiet">By feel</button>
    </form>
    <p v-if="form.general('text', 'why', 'source')" class="font-semibold text-alarm" role="alert">
      {{ form.general('text', 'why', 'source') }}
    </p>
  </section>
  <p v-else-if="item.byFeel" class="text-note">
    <span class="font-semibold text-brass">By feel</span>: {{ item.byFeel.why }}.
    <button v-if="job.status === 'open'" type="button" class="faint" @click="changing = true">
      Give a figure instead
    </button>
  </p>
</template>
