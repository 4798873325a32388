<script setup lang="ts">
import { ref } from 'vue';
import { figureOf, SHOP_FIGURES, type ShopFigure, type ShopFigureId } from '../../core/figures/index.ts';
import { FIELDS } from '../../core/quantity/index.ts';
import { ApiError } from '../data/api.ts';
import { keepFigure } from '../data/people.ts';
import FigureField from '../parts/FigureField.vue';
import { numberIn } from '../parts/numberIn.ts';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';

/** Figures of the trade that the program has an estimate for: what this shop has instead, from where, and who said so. */
defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const open = ref<ShopFigureId | null>(null);
const typed = ref('');
const source = ref('');
const wrong = ref('');
const ALL = Object.entries(SHOP_FIGURES) as [ShopFigureId, ShopFigure][];
const under = (prefix: string) => ALL.filter(([id]) => id.startsWith(prefix));
const GROUPS = [
  { name: 'Waiting, soaking, looking again', figures: ALL.filter(([id]) => !/^(?:minutes|life|rung)-/.test(id)) },
  { name: 'What each way takes', figures: under('minutes-') },
  { name: 'How long each way lasts', figures: under('life-') },
  { name: 'Seized screws', figures: under('rung-') },
] as const;

function change(id: ShopFigureId): void {
  open.value = id;
  typed.value = String(figureOf(shop.figures, id));
  source.value = shop.figures[id]?.source ?? '';
  wrong.value = '';
}
async function send(id: ShopFigureId, value: number | null): Promise<void> {
  try {
    shop.figures = (await keepFigure(id, value, value === null ? '' : source.value.trim())).figures;
    open.value = null;
  } catch (error) {
    wrong.value =
      error instanceof ApiError
        ? (error.fields.value ?? error.message)
        : error instanceof Error
          ? error.message
          : String(error);
  }
}
async function keep(id: ShopFigureId): Promise<void> {
  const value = numberIn(typed.value, FIELDS.count);
  if (Number.isNaN(value)) wrong.value = `Expected a number, got “${typed.value}”.`;
  else await send(id, value);
}
</script>

<template>
  <div>
    <details v-for="(group, index) in GROUPS" :key="group.name" :open="index === 0" class="border-t border-line py-2">
      <summary class="min-h-9 cursor-pointer py-1 font-semibold">{{ group.name }}</summary>
      <ul class="rows border-t border-line" :aria-label="group.name">
        <li v-for="[id, figure] in group.figures" :key="id" class="py-2">
          <div class="flex flex-wrap items-baseline gap-x-4">
            <span class="min-w-60 flex-1"
              ><b>{{ figure.name }}</b> <span class="text-note text-soft">{{ figure.where }}</span></span
            >
            <span class="figure text-lg">{{ figureOf(shop.figures, id) }} {{ figure.unit }}</span>
            <button v-if="mayEdit && open !== id" type="button" class="faint" @click="change(id)">
              Change<span class="sr-only">: {{ figure.name }}</span>
            </button>
          </div>
          <p class="text-sm text-soft">
            <template v-if="shop.figures[id]"
              >{{ shop.figures[id]?.source ?? 'shop figure, verify' }};
              {{ shop.firstName(shop.figures[id]?.by ?? '') }}, {{ shop.say.date(shop.figures[id]?.at ?? '') }}; usual
              {{ figure.usual }} {{ figure.unit }}</template
            ><template v-else>our own estimate, verify</template>
          </p>
          <form v-if="open === id" class="mt-2 flex flex-wrap items-start gap-3" @submit.prevent="keep(id)">
            <FigureField
              v-model="typed"
              class="w-40"
              :label="`Here it is, ${figure.unit}`"
              :field="FIELDS.count"
              :error="wrong || null"
            />
            <TextField
              v-model="source"
              class="min-w-52 flex-1"
              label="Where it is from"
              placeholder="our last twenty"
            />
            <div class="flex gap-3 sm:mt-6">
              <button type="submit" class="quiet">Keep it</button>
              <button v-if="shop.figures[id]" type="button" class="faint" @click="send(id, null)">
                Back to the usual
              </button>
              <button type="button" class="faint" @click="open = null">Leave it</button>
            </div>
          </form>
        </li>
      </ul>
    </details>
  </div>
</template>
