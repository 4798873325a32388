<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { type RungOutcome, runningTimers, type SeizedRecord, secondsLeft } from '../../../core/job/index.ts';
import { formatClock, formatMinutes } from '../../../core/quantity/index.ts';
import {
  CHANGED,
  type ChangedId,
  chancesSeen,
  ENOUGH_TRIES,
  HOSTS,
  ladder,
  nextRung,
  outlook,
  replaceInstead,
  type RungId,
  type RungTries,
} from '../../../core/seized/index.ts';
import { readRungTries } from '../../data/shopRows.ts';
import { unitTypeOf } from '../../../core/vehicle/index.ts';
import TextField from '../../parts/TextField.vue';
import { useNow } from '../../stores/clock.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useUnits } from '../units/useUnits.ts';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import LadderDrawing from './LadderDrawing.vue';
import SeizedForm from './SeizedForm.vue';
import { rungChances } from '../../../core/figures/index.ts';

/** Small screws that do not come: patience as a ladder, with what each rung risks, over as many days as it takes. */
const store = useJob();
const shop = useShop();
const now = useNow();
const form = useForm();
const { units } = useUnits();
const job = computed(() => store.job);
const chosen = ref('');
const adding = ref(false);
const note = ref('');
const givingUp = ref(false);

const screws = computed(() => job.value?.seized ?? []);
const screw = computed(
  () =>
    screws.value.find(({ id }) => id === chosen.value) ??
    screws.value.find(({ ended }) => ended === null) ??
    screws.value[0] ??
    null,
);
const triedOn = (each: SeizedRecord) =>
  each.tried.filter(({ outcome }) => outcome !== 'waiting').map(({ rung }) => rung);
const tried = computed(() => (screw.value === null ? [] : triedOn(screw.value)));
const seen = shallowRef<readonly RungTries[]>([]);
onMounted(async () => {
  // Without the shop's own tries the figures of Settings stand.
  seen.value = await readRungTries().catch(() => []);
});
const chances = computed(() => chancesSeen(rungChances(shop.figures), seen.value));
const own = computed(() => new Map(seen.value.map((each) => [each.rung, each])));
const rungs = computed(() => (screw.value === null ? [] : ladder(screw.value, tried.value, chances.value)));
const next = computed(() =>
  screw.value === null || screw.value.ended !== null ? null : nextRung(screw.value, tried.value),
);
const waiting = computed(() => screw.value?.tried.find(({ outcome }) => outcome === 'waiting') ?? null);
const timer = computed(() => {
  const id = waiting.value?.timerId;
  const found = job.value === null ? undefined : runningTimers(job.value).find((each) => each.id === id);
  return found === undefined ? null : { ...found, left: secondsLeft(found, now.value) };
});
const look = computed(() => (screw.value === null ? null : outlook(screw.value, tried.value, chances.value)));
/** Against another unit: the cheapest that the family names. */
const verdict = computed(() => {
  const own = screw.value;
  const unit = units.value.find(({ id }) => id === own?.unit);
  if (own === null || unit === undefined) return null;
  const prices = Object.values(unitTypeOf(store.family, unit.kind)?.prices ?? {}).filter((price) => price !== null);
  const same = screws.value
    .filter((each) => each.unit === own.unit && each.ended === null)
    .map((each) => ({ screw: each, tried: triedOn(each) }));
  return replaceInstead(
    same,
    shop.settings.ratePerHourMinor,
    prices.length === 0 ? null : Math.min(...prices),
    chances.value,
  );
});
function pick(id: string): void {
  adding.value = false;
  chosen.value = id;
}
const step = computed(
  () =>
    rungs.value.find(({ rung }) => rung.id === (picked.value || (waiting.value?.rung ?? next.value?.id)))?.rung ?? null,
);
const stepState = computed(() => rungs.value.find(({ rung }) => rung.id === step.value?.id) ?? null);
/** The rung on the screen waits already: what follows is how it went. */
const waitsNow = computed(() => waiting.value !== null && waiting.value.rung === step.value?.id);
/** The rung that was picked out of turn; “” goes by the ladder. */
const picked = ref<RungId | ''>('');
const changed = ref<ChangedId | ''>('');
const because = ref('');
const withOthers = ref(false);
watch(
  () => screw.value?.id,
  () => begin(''),
);
function begin(id: RungId | ''): void {
  [picked.value, changed.value, because.value] = [id, '', ''];
  form.clear();
}
/** Other screws of the job that are still in: oil and patience are for all of them at once. */
const others = computed(() => screws.value.filter(({ id, ended }) => ended === null && id !== screw.value?.id));
function attempt(outcome: RungOutcome): void {
  const rung = step.value?.id;
  if (screw.value === null || rung === undefined) return;
  const waits = outcome === 'waiting';
  const timerId = (): string => (waits ? freshId() : '');
  const all = withOthers.value && (waits || outcome === 'not yet');
  const sent = form.send('try-rung', {
    screwId: screw.value.id,
    rung,
    outcome,
    note: note.value.trim(),
    timerId: timerId(),
    ...(changed.value === '' ? {} : { changed: changed.value }),
    ...(because.value.trim() === '' ? {} : { because: because.value.trim() }),
    ...(all ? { also: others.value.map(({ id }) => ({ screwId: id, timerId: timerId() })) } : {}),
  });
  if (!sent) return;
  note.value = '';
  if (!waits) begin('');
}
function giveUp(): void {
  if (screw.value !== null && form.send('give-up-screw', { screwId: screw.value.id, why: note.value.trim() })) {
    note.value = '';
    givingUp.value = false;
  }
}
const outcomes = computed(() =>
  Object.fromEntries(screw.value?.tried.map(({ rung, outcome }) => [rung, outcome]) ?? []),
);
</script>

<template>
  <StageFrame v-if="job" stage="clean" title="Seized small screws">
    <template #head>
      <p class="text-sm"><RouterLink class="link" :to="`/jobs/${job.id}/clean`">Clean</RouterLink></p>
      <h2 class="text-heading">Seized small screws</h2>
      <p class="mt-1 max-w-prose text-soft">
        Patience is cheap, a drill is not. One rung at a time; oil works while you do something else.
      </p>
    </template>
    <div class="mt-4 flex flex-wrap gap-2" role="group" aria-label="Screws">
      <button
        v-for="each in screws"
        :key="each.id"
        type="button"
        class="quiet"
        :aria-pressed="each.id === screw?.id"
        @click="chosen = each.id"
      >
        {{ each.where }}<span class="font-normal">{{ each.ended === null ? '' : each.ended.outcome }}</span>
      </button>
      <button
        v-if="job.status === 'open'"
        type="button"
        class="quiet"
        :aria-expanded="adding || screws.length === 0"
        @click="adding = !adding"
      >
        Another screw
      </button>
    </div>
    <SeizedForm v-if="(adding || screws.length === 0) && job.status === 'open'" :units="units" @noted="pick" />
    <template v-if="screw">
      <ol class="mt-6 grid gap-x-8 md:grid-cols-[minmax(0,22rem)_1fr]">
        <li class="contents">
          <LadderDrawing
            :rungs="rungs"
            :current="screw.ended === null ? (step?.id ?? null) : null"
            :outcomes="outcomes"
          />
          <div>
            <template v-if="screw.ended">
              <h3 class="text-xl" :class="screw.ended.outcome === 'out' ? 'text-moss' : 'text-oxide'">
                {{
                  screw.ended.outcome === 'out'
                    ? 'Out. A new one is on the list.'
                    : screw.ended.outcome === 'given up'
                      ? 'Given up.'
                      : 'The part is spoilt: replace it.'
                }}
              </h3>
              <p class="text-soft">{{ screw.ended.why }}</p>
              <RouterLink v-if="screw.ended.outcome !== 'out'" class="quiet mt-3" :to="`/jobs/${job.id}/decide`"
                >Decide anew</RouterLink
              >
            </template>
            <template v-else-if="step">
              <h3 class="text-xl">{{ step.name }}</h3>
              <p class="mt-1 max-w-prose">{{ step.how }}</p>
              <dl class="mt-3 grid max-w-prose grid-cols-[6rem_1fr] gap-y-1 text-note">
                <dt class="text-soft">Risk</dt>
                <dd>
                  {{ step.risk }} <span class="text-soft">({{ Math.round(step.damage * 100) }} % spoil the part)</span>
                </dd>
                <dt class="text-soft">Protect</dt>
                <dd>{{ step.protect }}</dd>
                <dt class="text-soft">Takes</dt>
                <dd>
                  {{ formatMinutes(step.minutes) }} of hands<template v-if="step.waitMinutes > 0"
                    >, {{ formatMinutes(step.waitMinutes) }} of waiting</template
                  ><template v-if="step.materialsMinor > 0">, {{ shop.say.money(step.materialsMinor) }}</template>
                </dd>
                <template v-if="step.id === 'heat'"
                  ><dt class="text-soft">Limit</dt>
                  <dd class="font-semibold text-alarm">
                    {{ HOSTS[screw.host].heatLimitC }} °C on {{ HOSTS[screw.host].name }}, no further
                  </dd></template
                >
              </dl>
              <div v-if="stepState?.state === 'tried' && !waitsNow && job.status === 'open'" class="mt-3">
                <p class="font-semibold">It was tried already. What has changed since?</p>
                <div class="mt-1 flex flex-wrap gap-2" role="group" aria-label="What has changed">
                  <button
                    v-for="(name, id) in CHANGED"
                    :key="id"
                    type="button"
                    class="quiet text-sm"
                    :aria-pressed="changed === id"
                    @click="changed = id"
                  >
                    {{ name }}
                  </button>
                </div>
                <p v-if="form.error('changed')" class="mt-1 text-sm font-semibold text-alarm">
                  {{ form.error('changed') }}
                </p>
              </div>
              <TextField
                v-if="stepState?.state === 'left out' && !waitsNow && job.status === 'open'"
                v-model="because"
                class="mt-3 max-w-md"
                :label="`Left out here (${stepState.why}): tried all the same, because`"
                placeholder="the sensor is off, the body hangs free"
                :error="form.error('because')"
              />
              <label v-if="others.length > 0 && job.status === 'open'" class="mt-3 flex min-h-11 items-center gap-2"
                ><input v-model="withOthers" type="checkbox" class="size-5 accent-bottle" /> The same for the
                {{ others.length === 1 ? 'other one that is' : `${others.length} others that are` }} still in</label
              >
              <p v-if="timer" class="mt-3 text-brass">
                <span class="figure text-figure-md">{{ timer.left > 0 ? formatClock(timer.left) : 'time is up' }}</span>
                <span class="ml-2 text-soft">{{ timer.label.toLowerCase() }}</span>
              </p>
              <TextField
                v-if="job.status === 'open'"
                v-model="note"
                class="mt-3 max-w-md"
                label="A word to it"
                placeholder="a hair tighter first"
                :error="form.error('why') ?? form.general('where', 'changed', 'because')"
              />
              <div v-if="job.status === 'open'" class="mt-3 flex flex-wrap gap-2">
                <button
                  v-if="step.waitMinutes > 0 && !waitsNow"
                  type="button"
                  class="primary"
                  @click="attempt('waiting')"
                >
                  {{ step.id === 'heat' ? 'Warm, let it soak in' : 'Oiled, let it work' }}
                </button>
                <button
                  type="button"
                  :class="step.waitMinutes > 0 && !waitsNow ? 'quiet' : 'primary'"
                  @click="attempt('out')"
                >
                  It came out
                </button>
                <button type="button" class="quiet" @click="attempt('not yet')">Not yet</button>
                <button type="button" class="quiet" @click="attempt('head gone')">The head is gone</button>
                <button type="button" class="quiet" @click="attempt('part spoilt')">The part is spoilt</button>
              </div>
            </template>
            <p v-else class="font-semibold">No rung is left. Replace the unit.</p>
            <button
              v-if="!screw.ended && job.status === 'open' && !givingUp"
              type="button"
              class="faint mt-3"
              @click="givingUp = true"
            >
              Give it up
            </button>
            <button v-else-if="!screw.ended && job.status === 'open'" type="button" class="quiet mt-3" @click="giveUp">
              Give it up, for the reason above
            </button>
          </div>
        </li>
      </ol>
      <section v-if="!screw.ended && job.status === 'open'" class="mt-5">
        <h3 class="text-sm font-bold">Any rung, at any time</h3>
        <ul class="mt-1 flex flex-wrap gap-2" aria-label="The ladder">
          <li v-for="{ rung, state, why } in rungs" :key="rung.id">
            <button
              type="button"
              class="quiet text-sm"
              :class="state === 'left out' ? 'border-dashed!' : ''"
              :aria-pressed="rung.id === step?.id"
              :title="why"
              @click="begin(rung.id)"
            >
              {{ rung.short }}<span v-if="state !== 'open'" class="font-normal text-soft">{{ state }}</span>
            </button>
          </li>
        </ul>
        <p
          v-for="{ rung, why } in rungs.filter(({ state }) => state === 'left out')"
          :key="rung.id"
          class="mt-1 text-sm text-soft"
        >
          {{ rung.name }} is left out: {{ why }}. It can be tried all the same, with why.
        </p>
      </section>
    </template>
    <template #why>
      <div v-if="look && screw && screw.ended === null">
        <h3 class="text-lg">From here</h3>
        <p>
          <span class="figure text-figure-md">{{ Math.round(look.success * 100) }} %</span>
          <span class="text-soft">comes out whole</span>
        </p>
        <p class="text-note text-soft">
          About {{ formatMinutes(look.minutes) }} of hands and {{ formatMinutes(look.waitMinutes) }} of waiting;
          {{ Math.round(look.damage * 100) }} % that the part is spoilt.
        </p>
      </div>
      <div v-if="step && own.get(step.id)">
        <h3 class="text-lg">Seen here</h3>
        <p class="text-note">
          {{ step.name }}: {{ own.get(step.id)?.out }} of {{ own.get(step.id)?.tries }} came out<template
            v-if="(own.get(step.id)?.tries ?? 0) < ENOUGH_TRIES"
            >; too few to go by</template
          >.
        </p>
      </div>
      <div v-if="verdict" :class="verdict.replaceIsCheaper ? 'border-l-[3px] border-oxide pl-3' : ''">
        <h3 class="text-lg">Or another unit</h3>
        <p class="text-note">{{ verdict.words }}</p>
        <p class="text-note text-soft">
          Going on {{ shop.say.money(verdict.goOnMinor) }}, another unit {{ shop.say.money(verdict.replaceMinor) }}.
        </p>
      </div>
      <p class="text-sm text-soft">
        Chances are those of Settings; from {{ ENOUGH_TRIES }} tries of a rung on, what this shop has seen counts too.
        Never heat where cleaner or oil is still wet; no chlorinated cleaner anywhere near heat.
      </p>
    </template>
  </StageFrame>
</template>
