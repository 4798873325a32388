<script setup lang="ts">
import { computed, ref } from 'vue';
import { type RungOutcome, runningTimers, type SeizedRecord, secondsLeft } from '../../../core/job/index.ts';
import { formatClock, formatMinutes } from '../../../core/quantity/index.ts';
import { HOSTS, ladder, nextRung, outlook, replaceInstead } from '../../../core/seized/index.ts';
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
const chances = computed(() => rungChances(shop.figures));
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
function attempt(outcome: RungOutcome): void {
  const rung = waiting.value?.rung ?? next.value?.id;
  if (screw.value === null || rung === undefined) return;
  const data = { screwId: screw.value.id, rung, outcome, note: note.value.trim() };
  if (form.send('try-rung', { ...data, timerId: outcome === 'waiting' ? freshId() : '' })) note.value = '';
}
function giveUp(): void {
  if (screw.value !== null && form.send('give-up-screw', { screwId: screw.value.id, why: note.value.trim() })) {
    note.value = '';
    givingUp.value = false;
  }
}
const step = computed(
  () => rungs.value.find(({ rung }) => rung.id === (waiting.value?.rung ?? next.value?.id))?.rung ?? null,
);
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
                :error="form.error('why') ?? form.general('where')"
              />
              <div v-if="job.status === 'open'" class="mt-3 flex flex-wrap gap-2">
                <button
                  v-if="step.waitMinutes > 0 && !waiting"
                  type="button"
                  class="primary"
                  @click="attempt('waiting')"
                >
                  {{ step.id === 'heat' ? 'Warm, let it soak in' : 'Oiled, let it work' }}
                </button>
                <button
                  type="button"
                  :class="step.waitMinutes > 0 && !waiting ? 'quiet' : 'primary'"
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
      <ol class="sr-only" aria-label="The ladder">
        <li v-for="{ rung, state, why } in rungs" :key="rung.id">{{ rung.name }}: {{ state }} {{ why }}</li>
      </ol>
      <ul v-if="rungs.some(({ state }) => state === 'left out')" class="mt-4 text-sm text-soft">
        <li v-for="{ rung, why } in rungs.filter(({ state }) => state === 'left out')" :key="rung.id">
          {{ rung.name }} is left out: {{ why }}.
        </li>
      </ul>
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
      <div v-if="verdict" :class="verdict.replaceIsCheaper ? 'border-l-[3px] border-oxide pl-3' : ''">
        <h3 class="text-lg">Or another unit</h3>
        <p class="text-note">{{ verdict.words }}</p>
        <p class="text-note text-soft">
          Going on {{ shop.say.money(verdict.goOnMinor) }}, another unit {{ shop.say.money(verdict.replaceMinor) }}.
        </p>
      </div>
      <p class="text-sm text-soft">
        Chances are shop figures, not measured. Never heat where cleaner or oil is still wet; no chlorinated cleaner
        anywhere near heat.
      </p>
    </template>
  </StageFrame>
</template>
