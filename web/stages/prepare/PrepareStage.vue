<script setup lang="ts">
import { computed, onMounted, reactive, ref, shallowRef } from 'vue';
import { api } from '../../stores/api.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';

const store = useJob();
const shop = useShop();
const form = useForm();
const job = computed(() => store.job);
const procedures = shallowRef<readonly { id: string; name: string; family: string; version: number }[]>([]);
const changing = ref(false);
const dates = reactive<Record<string, string>>({});
const dateFor = ref('');

onMounted(async () => {
  procedures.value = (
    await api
      .get<{ rows: { id: string; name: string; family: string; version: number }[] }>('/procedures')
      .catch(() => ({ rows: [] }))
  ).rows;
});
async function pin(id: string): Promise<void> {
  await store.needProcedure(id).catch(() => null);
  if (form.send('pin-procedure', { procedureId: id })) changing.value = false;
}
const stateOf = (id: string) => job.value?.needs.find(({ needId }) => needId === id);
function tick(needId: string, state: 'ready' | 'missing'): void {
  form.send('tick-need', { needId, state, expected: null });
}
function order(needId: string): void {
  if (form.send('tick-need', { needId, state: 'ordered', expected: dates[needId] || null })) dateFor.value = '';
}
const groups = [
  { kind: 'part', name: 'Parts, gaskets, seals' },
  { kind: 'consumable', name: 'Cleaners' },
  { kind: 'tool', name: 'Tools' },
  { kind: 'do-first', name: 'First' },
] as const;
const cautions = computed(() =>
  [...new Set(job.value?.procedure?.needs.flatMap(({ caution }) => (caution === null ? [] : [caution])) ?? [])].filter(
    (id) => id !== 'battery',
  ),
);
const ready = computed(
  () => job.value?.procedure?.needs.filter(({ id }) => stateOf(id)?.state === 'ready').length ?? 0,
);
const ordered = computed(() => job.value?.needs.filter(({ state }) => state === 'ordered') ?? []);
</script>

<template>
  <StageFrame
    v-if="job"
    stage="prepare"
    title="Prepare"
    :cautions="cautions"
    :lead="
      job.procedure
        ? `${job.procedure.name}, version ${job.procedure.version}`
        : 'Choose how it will be done. The procedure lists what is needed and what comes off.'
    "
  >
    <button
      v-if="job.procedure && !changing && job.items.every(({ state }) => state === 'on') && job.status === 'open'"
      type="button"
      class="link text-sm"
      @click="changing = true"
    >
      Choose another procedure
    </button>
    <ul v-if="!job.procedure || changing" class="rows mt-4 border-y border-line">
      <li v-for="each in procedures" :key="each.id" class="flex items-center justify-between gap-4 py-3">
        <div>
          <p class="font-semibold">{{ each.name }}</p>
          <p class="text-sm text-soft">{{ each.family }}, version {{ each.version }}</p>
        </div>
        <button type="button" class="quiet" @click="pin(each.id)">Work by this</button>
      </li>
      <li v-if="procedures.length === 0" class="py-3 text-soft">
        No procedure is in the library yet. You can go on and type what comes off.
      </li>
    </ul>
    <p v-if="form.general('expected')" class="mt-2 font-semibold text-alarm" role="alert">
      {{ form.general('expected') }}
    </p>

    <template v-if="job.procedure && !changing">
      <section v-for="group in groups" :key="group.kind" class="mt-6">
        <h3 class="text-sm font-bold">{{ group.name }}</h3>
        <ul class="rows mt-1 border-y border-line">
          <li
            v-for="need in job.procedure.needs.filter(({ kind }) => kind === group.kind)"
            :key="need.id"
            class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2"
          >
            <div class="min-w-48 flex-1">
              <p class="font-semibold" :class="stateOf(need.id)?.state === 'ready' ? 'text-soft' : ''">
                {{ need.name }}
              </p>
              <p v-if="need.partNumber || need.note" class="text-sm text-soft">
                <span v-if="need.partNumber" class="code">{{ need.partNumber }}</span> {{ need.note }}
              </p>
              <p v-if="stateOf(need.id)?.state === 'ordered'" class="text-sm font-semibold text-brass">
                on order, expected {{ shop.say.day(stateOf(need.id)?.expected ?? '') }}
              </p>
            </div>
            <fieldset class="flex gap-2" :disabled="job.status === 'closed'">
              <legend class="sr-only">{{ need.name }}</legend>
              <button
                type="button"
                class="quiet"
                :aria-pressed="stateOf(need.id)?.state === 'ready'"
                @click="tick(need.id, stateOf(need.id)?.state === 'ready' ? 'missing' : 'ready')"
              >
                {{ need.kind === 'do-first' ? 'Done' : 'Here' }}
              </button>
              <button
                v-if="need.kind === 'part' || need.kind === 'consumable'"
                type="button"
                class="quiet"
                :aria-pressed="stateOf(need.id)?.state === 'ordered'"
                @click="dateFor = dateFor === need.id ? '' : need.id"
              >
                On order
              </button>
            </fieldset>
            <form
              v-if="dateFor === need.id"
              class="flex w-full items-end justify-end gap-2"
              @submit.prevent="order(need.id)"
            >
              <label class="text-sm font-semibold"
                >Expected on
                <input
                  v-model="dates[need.id]"
                  type="date"
                  class="input mt-1"
                  :aria-invalid="Boolean(form.error('expected'))"
              /></label>
              <button type="submit" class="quiet">Ordered</button>
              <p v-if="form.error('expected')" class="text-sm font-semibold text-alarm" role="alert">
                {{ form.error('expected') }}
              </p>
            </form>
          </li>
        </ul>
      </section>
    </template>

    <template #why>
      <div v-if="job.procedure">
        <p>
          <span class="figure text-[2.25rem]">{{ ready }} of {{ job.procedure.needs.length }}</span>
        </p>
        <p class="text-soft">ready</p>
        <p v-if="ordered.length > 0" class="mt-3 border-l-[3px] border-brass py-1 pl-3">
          A part is on its way. Leave the vehicle whole until it is here, so that it can drive.
        </p>
      </div>
      <p v-else class="text-soft">
        Without a procedure the order back is the mirror of what you take off, bent by the reasons you give.
      </p>
    </template>
  </StageFrame>
</template>
