<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { OPTIONS, understand } from '../../../core/diagnose/index.ts';
import { WORLD } from '../../data/world.ts';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useDiagnosis } from '../diagnosis/useDiagnosis.ts';
import { useForm } from '../useForm.ts';
import { useTypedDraft } from '../../forms/typedDraft.ts';

/** People say what it does; the program says what it understood, and asks the one question that tells most. */
const { store, shop, diagnosis, signs, questions, says } = useDiagnosis();
const form = useForm();
const askForm = useForm();
/** What was typed and not told stays over leaving and a reload. */
const words = useTypedDraft(() => `told.${store.id}`);
const unsure = ref<readonly string[]>([]);
const job = computed(() => store.job);
const open = computed(() => job.value?.status === 'open');

const heardIn = (id: string) => job.value?.signs.filter((sign) => sign.id.startsWith(`${id}-`)) ?? [];
const answered = computed(() => job.value?.signs.filter(({ source }) => source === 'asked') ?? []);
const read = (text: string) => understand(text, signs.value, store.knowledge?.ownPhrases);
const notUnderstood = (text: string): readonly string[] => read(text).left;
/** What can be read two ways is asked back, until it is answered or waved off. */
const waved = ref<readonly string[]>([]);
const asksOf = (id: string, text: string) =>
  read(text).asks.filter(
    (ask) => !waved.value.includes(`${id}/${ask.sign}`) && !job.value?.signs.some(({ sign }) => sign === ask.sign),
  );
const attemptsOf = (id: string) => job.value?.attempts.filter((attempt) => attempt.id.startsWith(`${id}-tried`)) ?? [];
const codesOf = (id: string) => job.value?.codes.filter((code) => code.id.startsWith(`${id}-code`)) ?? [];
const mayTeach = computed(() => shop.person?.role === 'lead' || shop.person?.role === 'owner');
const signName = (id: string): string => signs.value.find((sign) => sign.id === id)?.name ?? id;

const LEAST_BITS = 0.01;
const question = computed(
  () => questions.value.find(({ sign, gainBits }) => gainBits > LEAST_BITS && !unsure.value.includes(sign.id)) ?? null,
);
const noted = (sign: string) => job.value?.signs.find((each) => each.sign === sign && each.outcome === 'yes');
/** Symptoms are ready to tap until there is something to go by. */
const symptoms = computed(() => signs.value.filter(({ kind }) => kind === 'symptom'));
const picking = ref(false);

function tell(): void {
  if (form.send('tell-complaint', { id: freshId(), text: words.value })) words.value = '';
}
function answer(sign: string, outcome: string): void {
  askForm.send('answer-question', { id: freshId(), sign, outcome });
  void nextTick(() => document.querySelector<HTMLElement>('[data-question] button')?.focus());
}
function toggle(sign: string): void {
  const known = noted(sign);
  if (known === undefined) askForm.send('answer-question', { id: freshId(), sign, outcome: 'yes' });
  else askForm.send('strike-sign', { id: known.id });
}
const nothing = computed(() => job.value !== null && job.value.signs.length === 0);
</script>

<template>
  <div v-if="job" class="max-w-3xl">
    <ol class="grid gap-4">
      <li v-for="each in job.told" :key="each.id">
        <p class="text-lg">“{{ each.text }}”</p>
        <p v-if="heardIn(each.id).length > 0" class="mt-1.5 flex flex-wrap items-center gap-2">
          <span class="text-sm text-soft">Understood:</span>
          <span
            v-for="sign in heardIn(each.id)"
            :key="sign.id"
            class="inline-flex items-center gap-2 rounded-sm border-l-4 border-bottle bg-band py-1 pl-2.5 pr-1 font-semibold"
            >{{ says(sign)
            }}<button
              v-if="open"
              type="button"
              class="min-h-8 px-2 text-sm font-normal text-soft underline underline-offset-2 hover:text-ink"
              @click="form.send('strike-sign', { id: sign.id })"
            >
              strike<span class="sr-only"> out {{ says(sign) }}</span>
            </button></span
          >
        </p>
        <p v-if="attemptsOf(each.id).length + codesOf(each.id).length > 0" class="mt-1.5 text-note">
          <span class="text-sm text-soft">Taken down: </span>
          <span v-for="code in codesOf(each.id)" :key="code.id" class="code mr-3 font-semibold">{{ code.code }}</span>
          <span v-for="attempt in attemptsOf(each.id)" :key="attempt.id" class="mr-3 font-semibold"
            >{{ OPTIONS[attempt.option].toLowerCase() }}: {{ attempt.helped ? 'helped' : 'did not help' }}</span
          >
        </p>
        <div
          v-for="ask in asksOf(each.id, each.text)"
          :key="ask.sign"
          class="mt-2 border-l-4 border-brass pl-3"
          role="status"
        >
          <p class="font-semibold">“{{ ask.phrase }}”: which is meant?</p>
          <div v-if="open" class="mt-1 flex flex-wrap gap-2">
            <button type="button" class="quiet" @click="answer(ask.sign, ask.readings[0].outcome)">
              {{ ask.readings[0].words }}
            </button>
            <button type="button" class="quiet" @click="waved = [...waved, `${each.id}/${ask.sign}`]">
              {{ ask.readings[1].words }}
            </button>
          </div>
        </div>
        <p
          v-if="
            read(each.text).heard.length + attemptsOf(each.id).length + codesOf(each.id).length === 0 &&
            asksOf(each.id, each.text).length === 0
          "
          class="mt-1 text-sm text-brass"
        >
          Nothing that can be weighed was understood; the words are kept. Say it in other words, or pick below.
        </p>
        <p v-if="notUnderstood(each.text).length > 0" class="mt-1 text-sm text-soft">
          Kept, not weighed:
          <span v-for="clause in notUnderstood(each.text)" :key="clause" class="mr-3"
            >“{{ clause }}”<RouterLink
              v-if="mayTeach"
              class="link ml-1"
              :to="{ path: '/knowledge', query: { teach: clause } }"
              >teach it</RouterLink
            ></span
          >
        </p>
      </li>
    </ol>
    <p v-if="answered.length > 0" class="mt-4 flex flex-wrap items-center gap-2">
      <span class="text-sm text-soft">Answered:</span>
      <span
        v-for="sign in answered"
        :key="sign.id"
        class="inline-flex items-center gap-2 rounded-sm border-l-4 border-line bg-band py-1 pl-2.5 pr-1 font-semibold"
        >{{ says(sign)
        }}<button
          v-if="open"
          type="button"
          class="min-h-8 px-2 text-sm font-normal text-soft underline underline-offset-2 hover:text-ink"
          @click="form.send('strike-sign', { id: sign.id })"
        >
          strike<span class="sr-only"> out {{ signName(sign.sign) }}</span>
        </button></span
      >
    </p>

    <form v-if="open" class="mt-4 flex items-start gap-2" @submit.prevent="tell">
      <TextField
        v-model="words"
        class="flex-1"
        :lines="2"
        :label="nothing ? 'What does it do? As you would tell a colleague' : 'And what else?'"
        placeholder="hunts at the quay when it is cold, since the battery was changed"
        :error="form.error('text') ?? form.general('text')"
        @keydown.enter.exact.prevent="tell"
      />
      <button type="submit" class="quiet mt-6 min-h-[68px]!">Tell</button>
    </form>

    <!-- In practice which question tells most is for the person to know: the customer is asked beside. -->
    <section
      v-if="open && question && WORLD.practice === null"
      data-question
      class="mt-5 border-l-4 border-brass pl-4"
      aria-live="polite"
    >
      <p class="text-sm text-soft">The question that tells most now</p>
      <h3 class="mt-0.5 text-xl">{{ question.sign.ask }}</h3>
      <div class="mt-2 flex flex-wrap gap-2">
        <button
          v-for="outcome in question.sign.outcomes"
          :key="outcome.id"
          type="button"
          class="quiet min-h-12!"
          @click="answer(question.sign.id, outcome.id)"
        >
          {{ outcome.name }}
        </button>
        <button
          type="button"
          class="min-h-12 px-3 text-soft underline underline-offset-2"
          @click="unsure = [...unsure, question.sign.id]"
        >
          Not known
        </button>
      </div>
      <p v-if="askForm.general()" class="mt-1 text-sm font-semibold text-alarm" role="alert">{{ askForm.general() }}</p>
    </section>

    <div v-if="open && diagnosis" class="mt-4">
      <button v-if="!picking && !nothing" type="button" class="link min-h-9 text-note" @click="picking = true">
        Pick from the list instead
      </button>
      <div v-else class="flex flex-wrap gap-2" role="group" aria-label="What is noticed">
        <button
          v-for="sign in symptoms"
          :key="sign.id"
          type="button"
          class="quiet text-note"
          :aria-pressed="Boolean(noted(sign.id))"
          @click="toggle(sign.id)"
        >
          {{ sign.name }}
        </button>
      </div>
    </div>
  </div>
</template>
