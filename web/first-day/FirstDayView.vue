<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { HOUSE_QUESTIONS } from '../../core/house/index.ts';
import { typedMoney } from '../../core/quantity/index.ts';
import { useRead } from '../data/read.ts';
import { takeStarter } from '../data/people.ts';
import PeopleRows from '../settings/PeopleRows.vue';
import ShopFigures from '../settings/ShopFigures.vue';
import WrenchWall from '../settings/WrenchWall.vue';
import { useShop } from '../stores/shop.ts';
import DayStop from './DayStop.vue';

/** An empty shop: four short stops in view, any of which can be left. A job can be opened as soon as somebody is here. */
const shop = useShop();
const { data: vehicles } = useRead<{ rows: readonly unknown[] }>(() => '/vehicles?limit=1');
const { data: families, reload } = useRead<{ rows: readonly { id: string }[] }>(() => '/families');

const somebody = computed(() => shop.here.length > 0);
const mayEdit = computed(() => !somebody.value || shop.person?.role === 'lead' || shop.person?.role === 'owner');
const answered = computed(() => HOUSE_QUESTIONS.filter(({ id }) => shop.rules[id] !== undefined).length);
const aVehicle = computed(() => (vehicles.value?.rows.length ?? 0) > 0);
const priced = computed(() => shop.settings.ratePerHourMinor > 0);

type Stop = 'people' | 'wall' | 'vehicle' | 'rules';
const chosen = ref<Stop | null>(null);
/** The first stop with nothing in it as the page was opened, then what was gone on to: a stop never shuts by itself. */
const begun = ref<Stop>('people');
watch(
  () => shop.loaded,
  () => {
    if (shop.here.length > 0) begun.value = shop.wrenches.length === 0 ? 'wall' : 'vehicle';
  },
  { immediate: true },
);
const at = computed((): Stop => chosen.value ?? begun.value);
const go = (stop: Stop): void => {
  chosen.value = stop;
};
const shopLine = computed(() =>
  [
    shop.settings.shopName,
    priced.value
      ? `${typedMoney(shop.settings.ratePerHourMinor, shop.settings.currency)} ${shop.settings.currency} an hour`
      : '',
    shop.here.map(({ name }) => name).join(', '),
  ]
    .filter(Boolean)
    .join(' · '),
);

const starter = computed(() => (families.value?.rows ?? []).some(({ id }) => id.startsWith('starter-')));
const busy = ref(false);
const problem = ref('');
async function take(): Promise<void> {
  busy.value = true;
  problem.value = '';
  await takeStarter()
    .then(() => reload())
    .catch((error: unknown) => (problem.value = error instanceof Error ? error.message : String(error)));
  busy.value = false;
}
</script>

<template>
  <div class="grid min-h-full lg:h-full lg:grid-cols-[minmax(0,1fr)_312px]">
    <section class="min-w-0 px-4 py-5 md:px-7 lg:overflow-y-auto" tabindex="0" aria-label="First day">
      <h1 class="text-title">Five minutes, then the first vehicle</h1>
      <p class="mt-1 text-soft">
        Four short stops. Leave any of them and come back: all of it can be changed in Settings.
      </p>
      <ol class="mt-5">
        <DayStop
          title="Shop and people"
          :done="somebody"
          :open="at === 'people'"
          :lead="somebody ? shopLine : 'Who works here? The first one answers for the shop.'"
          @toggle="go('people')"
        >
          <PeopleRows :may-edit="mayEdit" />
          <template v-if="somebody">
            <ShopFigures :may-edit="mayEdit" />
            <button type="button" class="quiet mt-5" @click="go('wall')">
              On to the wrenches <span aria-hidden="true">→</span>
            </button>
          </template>
        </DayStop>
        <DayStop
          title="Wrenches on the wall"
          :done="shop.wrenches.length > 0"
          :open="at === 'wall'"
          :lead="
            shop.wrenches.length > 0
              ? shop.wrenches.map(({ name }) => name).join(', ')
              : 'Tap what hangs there, once for each; then its range as it is stamped.'
          "
          :waits="somebody ? '' : 'after the first name'"
          @toggle="go('wall')"
        >
          <WrenchWall :may-edit="mayEdit" />
          <button type="button" class="quiet mt-5" @click="go('vehicle')">
            On to the first vehicle <span aria-hidden="true">→</span>
          </button>
        </DayStop>
        <DayStop
          title="First vehicle"
          :done="aVehicle"
          :open="at === 'vehicle'"
          lead="A plate and the odometer are enough."
          :waits="somebody ? '' : 'after the first name'"
          @toggle="go('vehicle')"
        >
          <RouterLink class="quiet" to="/vehicles/new">New vehicle</RouterLink>
        </DayStop>
        <DayStop
          title="How we do things here"
          :done="answered === HOUSE_QUESTIONS.length"
          :open="at === 'rules'"
          :lead="`${HOUSE_QUESTIONS.length} questions on which good technicians differ; ${answered} answered. A job can depart from any of them.`"
          :waits="somebody ? '' : 'after the first name'"
          @toggle="go('rules')"
        >
          <RouterLink class="quiet" to="/settings">Answer them in Settings</RouterLink>
        </DayStop>
      </ol>
    </section>
    <aside
      class="flex flex-col gap-4 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:border-t-0"
      aria-label="Begin with"
    >
      <h2 class="text-xl">Begin with</h2>
      <div class="border-t border-line pt-3">
        <h3 class="font-bold">Our starter set</h3>
        <p class="mt-1 text-note text-soft">
          Kinds of engine with the units that sit on them and usual figures. Every figure says
          <b class="text-brass">shop figure, verify</b> until you have seen it in a book.
        </p>
        <p v-if="starter" class="mt-2 font-semibold text-moss" role="status">
          It is in: <RouterLink class="link" to="/families">look at it</RouterLink>.
        </p>
        <button v-else type="button" class="quiet mt-2 disabled:opacity-50" :disabled="!somebody || busy" @click="take">
          Take it in
        </button>
        <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
      </div>
      <div class="border-t border-line pt-3">
        <h3 class="font-bold">Nothing at all</h3>
        <p class="mt-1 text-note text-soft">Only what you write yourselves. The starter set can be taken in later.</p>
      </div>
      <div class="border-t border-line pt-3">
        <h3 class="font-bold">Not sure yet?</h3>
        <p class="mt-1 text-note text-soft">
          <span class="code">npm run demo</span> opens a made-up shop beside this one, in a store of its own; yours
          stays as it is.
        </p>
      </div>
      <div class="mt-auto">
        <p class="mb-2 text-note text-soft">
          {{
            somebody
              ? 'A job can be opened now. What is left here waits, and is asked for when it is first needed.'
              : 'One name is enough to begin.'
          }}
        </p>
        <RouterLink v-if="somebody" class="primary" to="/vehicles/new">
          To the first vehicle <span aria-hidden="true">→</span>
        </RouterLink>
      </div>
    </aside>
  </div>
</template>
