<script setup lang="ts">
import { computed, ref } from 'vue';
import { HOUSE_QUESTIONS } from '../../core/house/index.ts';
import { keepRule } from '../data/shopRows.ts';
import { useShop } from '../stores/shop.ts';
import BackupKeeping from './BackupKeeping.vue';
import BayAirForm from './BayAirForm.vue';
import BrokenSettings from './BrokenSettings.vue';
import TradeFigures from './TradeFigures.vue';
import InstrumentRows from '../instruments/InstrumentRows.vue';
import ToolRows from './ToolRows.vue';
import WrenchWall from './WrenchWall.vue';
import OpeningHours from './OpeningHours.vue';
import CalendarFeeds from './CalendarFeeds.vue';
import WeekForm from './WeekForm.vue';
import PeopleRows from './PeopleRows.vue';
import ShopFigures from './ShopFigures.vue';

/** One plain question a row; the shop answers each once. And what the shop says of itself. */
const shop = useShop();
const mayEdit = computed(() => shop.person?.role === 'lead' || shop.person?.role === 'owner');
const problem = ref('');
async function answer(question: string, school: string | null): Promise<void> {
  problem.value = '';
  try {
    shop.rules = (await keepRule(question, school)).rules;
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <div class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <h1 class="text-title">House rules</h1>
    <p class="mt-1 max-w-prose text-soft">
      Good technicians differ on these. Say what this shop does; a job can depart from it with a reason, and nobody is
      asked twice.<template v-if="!mayEdit"> A lead or the owner sets them.</template>
    </p>
    <p v-if="problem" class="mt-3 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <div class="mt-4 max-w-5xl border-y border-line">
      <fieldset
        v-for="asked in HOUSE_QUESTIONS"
        :key="asked.id"
        :disabled="!mayEdit"
        class="grid gap-x-8 gap-y-1 border-b border-line py-4 last:border-b-0 md:grid-cols-[16rem_1fr]"
      >
        <legend class="contents">
          <span class="text-lg font-bold leading-tight">{{ asked.question }}</span>
        </legend>
        <div>
          <label
            v-for="school in asked.schools"
            :key="school.id"
            class="flex min-h-9 cursor-pointer items-baseline gap-3 py-0.5"
          >
            <input
              type="radio"
              class="size-4.5 shrink-0 translate-y-0.5 accent-bottle"
              :name="asked.id"
              :value="school.id"
              :checked="shop.rules[asked.id] === school.id"
              @change="answer(asked.id, school.id)"
            />
            <span
              ><span class="font-semibold" :class="shop.rules[asked.id] === school.id ? 'text-bottle' : ''">{{
                school.name
              }}</span
              ><span class="text-note text-soft"> — {{ school.costs }}</span></span
            >
          </label>
          <button v-if="shop.rules[asked.id] && mayEdit" type="button" class="faint" @click="answer(asked.id, null)">
            No rule<span class="sr-only"> for: {{ asked.question }}</span>
          </button>
        </div>
      </fieldset>
    </div>
    <h2 class="mb-2 mt-9 text-xl">People</h2>
    <PeopleRows class="max-w-3xl" :may-edit="mayEdit" />
    <p class="mt-3">
      <RouterLink class="link" to="/settings/access"
        >Who is let in: passwords, stations, tablets on the network</RouterLink
      >
    </p>
    <h2 class="mb-2 mt-9 text-xl">Wrenches on the wall</h2>
    <WrenchWall class="max-w-3xl" :may-edit="mayEdit" />
    <h2 class="mb-2 mt-9 text-xl">Other tools</h2>
    <ToolRows class="max-w-3xl" :may-edit="mayEdit" />
    <p class="mt-3 text-note text-soft">
      Cleaners and coolant stand in <RouterLink class="link" to="/stock">Stock</RouterLink>, with price and safety
      words.
    </p>
    <h2 class="mb-2 mt-9 text-xl">Instruments of the bench</h2>
    <InstrumentRows />
    <h2 class="mb-2 mt-9 text-xl">Figures of the trade</h2>
    <TradeFigures class="max-w-3xl" :may-edit="mayEdit" />
    <BrokenSettings />
    <ShopFigures :may-edit="mayEdit" />
    <OpeningHours :may-edit="mayEdit" />
    <WeekForm :may-edit="mayEdit" />
    <CalendarFeeds :may-edit="mayEdit" />
    <BackupKeeping :may-edit="mayEdit" />
    <BayAirForm :may-edit="mayEdit" />
    <p class="mt-8 text-note">
      <RouterLink class="link" to="/knowledge">Causes, checks and likelihoods</RouterLink>
      <span class="mx-2 text-soft">·</span>
      <RouterLink class="link" to="/families">Engine families</RouterLink>
      <span class="mx-2 text-soft">·</span>
      <RouterLink class="link" to="/shops">Files between shops</RouterLink>
      <span class="mx-2 text-soft">·</span>
      <RouterLink class="link" to="/first-day">The first day again</RouterLink>
    </p>
  </div>
</template>
