import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Person, Settings } from '../../contract/index.ts';
import { type Calendar, ORDINARY_WEEK, type Tool } from '../../core/prepare/index.ts';
import type { ShopValues } from '../../core/figures/index.ts';
import type { HouseRules } from '../../core/house/index.ts';
import type { Recipe } from '../../core/relearn/index.ts';
import { type Speaker, speaker } from '../../core/sheet/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import { readPreference, writePreference } from '../shell/preferences.ts';
import { api } from '../data/api.ts';
import { ask } from '../data/kept.ts';

/** The workshop: its people and tools, and who is at this bench. */
export const useShop = defineStore('shop', () => {
  const people = shallowRef<readonly Person[]>([]);
  const wrenches = shallowRef<readonly Wrench[]>([]);
  const settings = shallowRef<Settings>({
    shopName: '',
    currency: 'cr',
    timeZone: 'UTC',
    measures: null,
    ratePerHourMinor: 0,
    dayPriceMinor: 0,
    comebackMinor: 0,
    comebackWithin: { days: 90, km: 5000, h: 50 },
  });
  const rules = shallowRef<HouseRules>({});
  /** Figures of the trade that this shop has set for itself. */
  const figures = shallowRef<ShopValues>({});
  /** Recipes of relearn and bleeding that this shop has written; those of the program are not among them. */
  const recipes = shallowRef<readonly Recipe[]>([]);
  const tools = shallowRef<readonly Tool[]>([]);
  const calendar = shallowRef<Calendar>(ORDINARY_WEEK);
  /** The store can only be read: everything can be looked at, nothing entered. */
  const readOnly = ref(false);
  const personId = ref(readPreference('person') ?? '');
  const loaded = ref(false);

  async function load(): Promise<void> {
    const reply = await ask<{
      settings: Settings;
      people: Person[];
      wrenches: Wrench[];
      rules: HouseRules;
      figures?: ShopValues;
      recipes?: Recipe[];
      tools: Tool[];
      calendar: Calendar;
      now: string;
      readOnly: boolean;
    }>('/shop');
    people.value = reply.people;
    wrenches.value = reply.wrenches;
    settings.value = reply.settings;
    rules.value = reply.rules;
    figures.value = reply.figures ?? {};
    recipes.value = reply.recipes ?? [];
    tools.value = reply.tools;
    calendar.value = reply.calendar;
    readOnly.value = reply.readOnly;
    loaded.value = true;
  }

  /** Which gallon is meant here, once and for all; out of reach it is asked again another time. */
  async function settleMeasures(measures: 'US' | 'imperial'): Promise<void> {
    const by = personId.value;
    settings.value = await api.put<Settings>('/settings/measures', { by, measures }).catch(() => settings.value);
  }

  /**
   * What the shop says of itself.
   * @param sameFigures prices that are recorded stand for another currency, figure for figure
   * @throws ApiError with what is wrong by field
   */
  async function keepFigures(figures: Settings, sameFigures = false): Promise<void> {
    settings.value = await api.put<Settings>('/settings', {
      by: personId.value,
      settings: figures,
      ...(sameFigures && { sameFigures }),
    });
  }

  function pick(id: string): void {
    personId.value = id;
    writePreference('person', id);
  }

  /** Those who work here now; of those who left only the names are kept. */
  const here = computed(() => people.value.filter(({ leftAt }) => leftAt == null));
  const person = computed(() => here.value.find(({ id }) => id === personId.value) ?? null);
  const say = computed<Speaker>(() =>
    speaker(new Map(people.value.map(({ id, name }) => [id, name])), settings.value.currency, settings.value.timeZone),
  );
  const firstName = (id: string): string => people.value.find((each) => each.id === id)?.name.split(' ')[0] ?? id;

  return {
    people,
    here,
    wrenches,
    settings,
    rules,
    figures,
    recipes,
    tools,
    calendar,
    person,
    personId,
    loaded,
    readOnly,
    load,
    pick,
    keepFigures,
    settleMeasures,
    say,
    firstName,
  };
});
