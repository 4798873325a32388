<script setup lang="ts">
import { computed, reactive } from 'vue';
import { AMOUNTS, type ForeignFound, foreignStillIn, type Job } from '../../../core/job/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** Something that does not belong there: what, where, how much, where from, and whether all of it came out. */
const props = defineProps<{ job: Job }>();
const shop = useShop();
const form = useForm();
const closed = computed(() => props.job.status === 'closed');
const lead = computed(() => shop.person?.role === 'lead');
interface Draft {
  what: string;
  where: string;
  came: string;
  amount: keyof typeof AMOUNTS | null;
  how: string;
}
const drafts = reactive<Record<string, Draft>>({});
const PLAIN = 'Something at the plate';
const draftOf = (found: ForeignFound): Draft =>
  (drafts[found.id] ??= {
    what: found.what === PLAIN ? '' : found.what,
    where: found.where,
    came: found.came,
    amount: found.amount === 'not said' ? null : found.amount,
    how: '',
  });
const described = (found: ForeignFound): boolean => found.what !== PLAIN && found.amount !== 'not said';
const still = (found: ForeignFound): string | null => foreignStillIn(found)?.what ?? null;
function describe(found: ForeignFound): void {
  const { what, where, came, amount } = draftOf(found);
  form.send('describe-foreign', {
    id: found.id,
    what,
    where,
    came,
    amount: amount ?? 'not said',
    ...(found.unit === undefined ? {} : { unit: found.unit }),
  });
}
const out = (found: ForeignFound, recovered: 'part' | 'all' | 'accounted'): void => {
  form.send('recover-foreign', { id: found.id, recovered, how: draftOf(found).how });
};
</script>

<template>
  <section
    v-for="found in job.foreign"
    :key="found.id"
    class="mt-5 border-l-4 pl-4"
    :class="still(found) ? 'border-alarm' : 'border-moss'"
    :aria-label="found.what"
  >
    <h3 class="text-lg">{{ found.what === PLAIN ? found.what : `${found.what}, ${found.where}` }}</h3>
    <p v-if="still(found)" class="font-semibold text-alarm">
      The engine is held until all of it is out or accounted for.
    </p>
    <p v-else class="font-semibold text-moss">
      {{ found.recovered?.recovered === 'all' ? 'All of it is out.' : 'The rest is accounted for.' }}
    </p>
    <form v-if="!closed && still(found)" class="mt-2 grid max-w-2xl gap-3" @submit.prevent="describe(found)">
      <div class="grid gap-3 sm:grid-cols-3">
        <TextField v-model="draftOf(found).what" label="What it is" placeholder="acorn" :error="form.error('what')" />
        <TextField v-model="draftOf(found).where" label="Where it lies" :error="form.error('where')" />
        <TextField v-model="draftOf(found).came" label="Where it came from" placeholder="the air box, a torn filter" />
      </div>
      <ChoiceRow
        v-model="draftOf(found).amount"
        label="How much of it"
        :options="Object.entries(AMOUNTS).map(([id, name]) => ({ id: id as keyof typeof AMOUNTS, name }))"
      />
      <button type="submit" class="quiet justify-self-start">
        {{ described(found) ? 'Say it anew' : 'Keep what it is' }}
      </button>
      <TextField
        v-model="draftOf(found).how"
        label="If not all of it: what is missing, and where can it be"
        placeholder="a corner of the filter, perhaps in the manifold"
        :error="form.error('how')"
      />
      <div class="flex flex-wrap gap-2">
        <button type="button" class="quiet" @click="out(found, 'all')">All of it is out</button>
        <button type="button" class="quiet" @click="out(found, 'part')">Part of it is out</button>
        <button v-if="lead" type="button" class="quiet" @click="out(found, 'accounted')">
          The rest is accounted for
        </button>
      </div>
      <p v-if="form.general('what', 'where', 'how')" class="text-sm font-semibold text-alarm" role="alert">
        {{ form.general('what', 'where', 'how') }}
      </p>
    </form>
  </section>
</template>
