<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { CauseLine, LessonAnswer, LessonAnswerInput, LessonLine, LessonsReply } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { GROUPS } from '../../core/diagnose/index.ts';
import { causeWords, lessonWords, thingName } from '../../core/lessons/index.ts';
import { ApiError } from '../data/api.ts';
import { answerLesson, readLessons } from '../data/lessons.ts';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';
import LookStrip from './LookStrip.vue';
import RecordsNav from './RecordsNav.vue';

/** What recurs in a family or is found oftener than the knowledge says, and what it could change; nothing changes by itself. */
const shop = useShop();
const reply = shallowRef<LessonsReply | null>(null);
const failed = ref('');
const aside = ref('');
const note = ref('');
const problem = ref('');
readLessons().then(
  (read) => (reply.value = read),
  (error: unknown) => (failed.value = error instanceof Error ? error.message : String(error)),
);
const may = computed(() => shop.person !== null && mayChange(shop.person.role));
const isAside = ({ answers }: { readonly answers: readonly LessonAnswer[] }): boolean =>
  answers.some(({ what }) => what === 'set-aside');
const found = computed(() => (reply.value?.found ?? []).filter((line) => !isAside(line)));
const causes = computed(() => (reply.value?.causes ?? []).filter((line) => !isAside(line)));
const setAside = computed(() => [
  ...(reply.value?.found ?? [])
    .filter(isAside)
    .map((line) => ({ ...line, title: `${thingName(line)}: ${line.family}` })),
  ...(reply.value?.causes ?? []).filter(isAside).map((line) => ({ ...line, title: line.name })),
]);
async function answer(id: string, said: LessonAnswerInput): Promise<void> {
  problem.value = failed.value = '';
  try {
    reply.value = await answerLesson(id, said);
    aside.value = note.value = '';
  } catch (error) {
    problem.value = error instanceof ApiError ? (error.fields.note ?? '') : '';
    if (problem.value === '') failed.value = error instanceof Error ? error.message : String(error);
  }
}
const who = ({ by, at }: LessonAnswer): string => `${shop.firstName(by)}, ${shop.say.nearDay(shop.say.isoDay(at))}`;
const taken = ({ procedures, answers }: LessonLine): string[] =>
  answers.flatMap((each) => {
    if (each.what === 'stock') return [`One is kept on the shelf (${who(each)}).`];
    const name = procedures.find(({ id }) => id === each.subject)?.name ?? 'a procedure';
    return each.what === 'procedure' ? [`“${name}” says it (${who(each)}).`] : [];
  });
const stockOffer = ({ part, stock }: LessonLine): boolean =>
  part !== null && (stock === null || stock.orderAt === null);
const kept = ({ answers }: CauseLine): LessonAnswer | undefined => answers.find(({ what }) => what === 'knowledge');
</script>

<template>
  <div class="h-full overflow-y-auto px-4 pb-6 pt-5 md:px-7">
    <RecordsNav />
    <h1 class="mt-5 text-title">Lessons</h1>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <template v-if="reply">
      <p class="mt-1 max-w-prose text-soft">
        {{
          reply.looks === 0
            ? 'Nothing was looked at on the bench yet. From what is, it will be told'
            : `Of ${reply.looks} ${reply.looks === 1 ? 'look' : 'looks'} at ${reply.vehicles} ${reply.vehicles === 1 ? 'vehicle' : 'vehicles'}:`
        }}
        what a family shows oftener than all others, or from some reading on. Each is an offer; nothing is changed until
        a lead takes it.
      </p>
      <p v-if="found.length + causes.length === 0" class="mt-4 max-w-prose text-lg">
        Nothing recurs that chance would not explain. Three bad ones of a family are the least that can tell, beside
        others that were looked at and were not.
      </p>
      <ul v-if="found.length > 0" class="rows mt-4 border-y border-line" aria-label="What recurs">
        <li
          v-for="lesson in found"
          :key="lesson.id"
          class="grid gap-x-10 gap-y-3 py-5 xl:grid-cols-[minmax(0,1fr)_24rem]"
        >
          <div class="min-w-0">
            <h2 class="text-xl">{{ thingName(lesson) }}</h2>
            <p class="font-semibold text-soft">{{ lesson.family }}</p>
            <p class="mt-1 text-lg">{{ lessonWords(lesson) }}</p>
            <LookStrip class="mt-3" :lesson="lesson" />
            <details class="mt-1">
              <summary class="text-note text-soft">The {{ lesson.looks.length }} vehicles behind it</summary>
              <ul class="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-note">
                <li v-for="look in lesson.looks" :key="look.jobId">
                  <RouterLink class="link" :to="`/jobs/${look.jobId}`"
                    >{{ look.plate }}, job {{ look.number }}</RouterLink
                  >
                  <span :class="look.bad ? 'font-semibold text-oxide' : 'text-soft'">
                    {{ look.bad ? 'bad' : 'not bad' }}</span
                  >
                </li>
              </ul>
            </details>
          </div>
          <div class="grid content-start gap-2">
            <h3 class="text-sm font-bold">What it could change</h3>
            <p v-if="lesson.need === null && lesson.part === null" class="text-soft">
              Nothing that can be laid out before the work; it is here to be known.
            </p>
            <p v-for="words in taken(lesson)" :key="words" class="border-l-4 border-moss pl-3">{{ words }}</p>
            <template v-if="may">
              <template v-for="procedure in lesson.procedures" :key="procedure.id">
                <button
                  v-if="!procedure.says"
                  type="button"
                  class="quiet justify-start! text-left"
                  @click="answer(lesson.id, { what: 'procedure', procedureId: procedure.id })"
                >
                  <span
                    >Add to “{{ procedure.name }}”: <span class="block font-normal">{{ lesson.need }}</span></span
                  >
                </button>
              </template>
              <button
                v-if="stockOffer(lesson)"
                type="button"
                class="quiet justify-start! text-left"
                @click="answer(lesson.id, { what: 'stock' })"
              >
                <span
                  >Keep one on the shelf:
                  <span class="block font-normal"
                    >{{ lesson.part?.name }} <span class="code">{{ lesson.part?.partNumber }}</span></span
                  ></span
                >
              </button>
              <button
                v-if="aside !== lesson.id"
                type="button"
                class="faint justify-self-start"
                @click="((aside = lesson.id), (note = problem = ''))"
              >
                Set aside<span class="sr-only">: {{ thingName(lesson) }}</span>
              </button>
              <form v-else class="grid gap-2" @submit.prevent="answer(lesson.id, { what: 'set-aside', note })">
                <TextField v-model="note" label="Because" placeholder="one batch of rings" :error="problem" />
                <button type="submit" class="quiet justify-self-start">Set it aside</button>
              </form>
            </template>
            <p v-else class="text-soft">A lead decides what becomes of it.</p>
          </div>
        </li>
      </ul>
      <section v-if="causes.length > 0" class="mt-8" aria-labelledby="causes-title">
        <h2 id="causes-title" class="text-xl">Causes that are commoner here than the knowledge says</h2>
        <ul class="rows mt-2 border-y border-line">
          <li
            v-for="cause in causes"
            :key="cause.id"
            class="grid gap-x-10 gap-y-2 py-4 xl:grid-cols-[minmax(0,1fr)_24rem]"
          >
            <div>
              <p class="text-lg font-bold">{{ cause.name }}</p>
              <p>{{ causeWords(cause) }}</p>
              <p class="mt-1 flex flex-wrap gap-x-4 text-note">
                <RouterLink v-for="job in cause.numbers" :key="job.jobId" class="link" :to="`/jobs/${job.jobId}`"
                  >{{ job.plate }}, job {{ job.number }}</RouterLink
                >
              </p>
            </div>
            <div class="grid content-start gap-2">
              <p v-if="kept(cause)" class="border-l-4 border-moss pl-3">
                In the knowledge since version {{ kept(cause)?.subject }} ({{ who(kept(cause)!) }}).
              </p>
              <template v-if="may">
                <button
                  type="button"
                  class="quiet justify-start! text-left"
                  @click="answer(cause.id, { what: 'knowledge' })"
                >
                  <span
                    >Say so in the knowledge:
                    <span class="block font-normal"
                      >{{ GROUPS[cause.group] }}: “{{ cause.is }}” becomes “{{ cause.fits }}”</span
                    ></span
                  >
                </button>
                <button
                  v-if="aside !== cause.id"
                  type="button"
                  class="faint justify-self-start"
                  @click="((aside = cause.id), (note = problem = ''))"
                >
                  Set aside<span class="sr-only">: {{ cause.name }}</span>
                </button>
                <form v-else class="grid gap-2" @submit.prevent="answer(cause.id, { what: 'set-aside', note })">
                  <TextField v-model="note" label="Because" placeholder="one fleet of the same year" :error="problem" />
                  <button type="submit" class="quiet justify-self-start">Set it aside</button>
                </form>
              </template>
            </div>
          </li>
        </ul>
      </section>
      <section v-if="setAside.length > 0" class="mt-8 max-w-4xl" aria-labelledby="aside-title">
        <h2 id="aside-title" class="text-xl">Set aside</h2>
        <ul class="rows mt-2 border-y border-line">
          <li v-for="line in setAside" :key="line.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
            <span class="font-semibold">{{ line.title }}</span>
            <span class="text-soft">{{
              line.answers
                .filter(({ what }) => what === 'set-aside')
                .map((each) => `${each.note} (${who(each)})`)
                .join()
            }}</span>
            <button v-if="may" type="button" class="faint ml-auto" @click="answer(line.id, { what: 'take-up-again' })">
              Take it up again<span class="sr-only">: {{ line.title }}</span>
            </button>
          </li>
        </ul>
      </section>
      <p class="mt-6 max-w-prose text-fine text-soft">
        Each vehicle counts once, by the last look. A finding is told when so many bad ones would come of chance too
        seldom, with all findings of all families asked at once: of ten that are told about one may be chance.
      </p>
    </template>
  </div>
</template>
