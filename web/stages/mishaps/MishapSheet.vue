<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Job, MISHAPS, type MishapId } from '../../../core/job/index.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import PutRight from '../entries/PutRight.vue';
import { useForm } from '../useForm.ts';

/** Something went wrong: what to do first in two lines, then the record. */
const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const form = useForm();
const kind = ref<MishapId | null>(null);
const what = ref('');
const whom = ref('');
const done = ref('');
const KINDS = Object.entries(MISHAPS) as [MishapId, (typeof MISHAPS)[MishapId]][];
const chosen = computed(() => (kind.value === null ? null : MISHAPS[kind.value]));
function keep(): void {
  if (kind.value === null) return;
  if (
    form.send('note-mishap', {
      id: freshId(),
      kind: kind.value,
      what: what.value,
      whom: whom.value,
      done: done.value,
    })
  )
    [kind.value, what.value, whom.value, done.value] = [null, '', '', ''];
}
</script>

<template>
  <SheetDialog title="Something went wrong" @close="emit('close')">
    <p class="font-semibold">Make it safe first: key off, hands out, nobody near what moves.</p>
    <p class="text-note text-soft">
      An engine that starts by itself is switched off by the maker’s way. The record can wait; people cannot.
    </p>
    <div v-if="chosen" class="mt-4 flex flex-wrap items-baseline gap-x-4">
      <h3 class="text-xl">{{ chosen.name }}</h3>
      <button type="button" class="faint" @click="kind = null">Something other than that</button>
    </div>
    <div v-else class="mt-4 grid gap-2 sm:grid-cols-2" role="group" aria-label="What happened">
      <button
        v-for="[id, each] in KINDS"
        :key="id"
        type="button"
        class="quiet min-h-12 justify-start! text-left"
        @click="kind = id"
      >
        {{ each.name }}
      </button>
    </div>
    <form v-if="chosen" class="mt-3 grid gap-3" @submit.prevent="keep">
      <div class="border-l-4 border-alarm bg-band px-4 py-3" role="status">
        <p v-for="line in chosen.now" :key="line" class="text-lg font-semibold">{{ line }}</p>
      </div>
      <TextField
        v-model="what"
        label="What happened, when there is time"
        placeholder="a drop ran off the plate"
        :lines="2"
        :error="form.error('what') ?? form.general('what')"
      />
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField v-model="whom" label="To whom, or to what" />
        <TextField v-model="done" label="What was done about it" />
      </div>
      <button type="submit" class="primary justify-self-start">Keep it on the record</button>
    </form>
    <ul v-if="props.job.mishaps.length > 0" class="rows mt-5 border-y border-line text-note">
      <li v-for="each in props.job.mishaps" :key="each.id" class="py-2">
        <b>{{ MISHAPS[each.kind].name }}</b> {{ shop.say.time(each.at) }}, {{ shop.firstName(each.by) }}: {{ each.what
        }}<template v-if="each.done"> · {{ each.done }}</template>
        <PutRight :job="job" kind="mishap-noted" :holds="{ id: each.id }" :what="each.what" />
      </li>
    </ul>
  </SheetDialog>
</template>
