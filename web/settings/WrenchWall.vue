<script setup lang="ts">
import { computed, ref } from 'vue';
import { sayDate } from '../../core/days/index.ts';
import { format } from '../../core/quantity/index.ts';
import {
  scaleFromText,
  trueRange,
  WALL_WANTED,
  wallCoverage,
  type Wrench,
  WRENCH_KINDS,
  type WrenchKind,
} from '../../core/torque/index.ts';
import { ApiError } from '../data/api.ts';
import { dropWrench, keepWrench } from '../data/people.ts';
import TextField from '../parts/TextField.vue';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';

/** The torque wrenches of the wall: tap a kind, type what is stamped; what they can be believed for is drawn. */
defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const kind = ref<WrenchKind | null>(null);
const stamped = ref('');
const step = ref('');
const checked = ref('');
const tried = ref(false);
const problem = ref('');

const KINDS = Object.entries(WRENCH_KINDS).map(([id, { name }]) => ({ id: id as WrenchKind, name }));
const count = (id: WrenchKind): number =>
  shop.wrenches.filter(({ name }) => name.startsWith(WRENCH_KINDS[id].name)).length;
const read = computed(() => (stamped.value.trim() === '' ? null : scaleFromText(stamped.value)));
const marked = computed(() => Number(step.value.replace(',', '.')));
/** The wrench as it is typed so far; null while its range cannot be read. */
const written = computed((): Wrench | null => {
  if (kind.value === null || read.value?.ok !== true) return null;
  const { name, kind: works } = WRENCH_KINDS[kind.value];
  const same = count(kind.value);
  const { scale } = read.value;
  return {
    id: 'written',
    name: same === 0 ? name : `${name} ${same + 1}`,
    ...(works === undefined ? {} : { kind: works }),
    scale: { ...scale, step: marked.value > 0 ? marked.value : scale.step },
    deviationPercent: null,
    calibratedOn: checked.value === '' ? null : checked.value,
  };
});
const words = (wrench: Wrench): string => {
  const { low, high } = trueRange(wrench);
  return `true from ${Number(low.toPrecision(3))} to ${format({ value: Number(high.toPrecision(3)), unit: 'N·m' })}`;
};
const range = ({ scale: { low, high, unit } }: Wrench): string => `${low} to ${format({ value: high, unit })}`;

const drawn = computed(() => {
  const all = [...shop.wrenches, ...(written.value === null ? [] : [written.value])];
  const [from, to] = [Math.log(1), Math.log(Math.max(60, ...all.map((wrench) => trueRange(wrench).high)))];
  const at = (nm: number): number => ((Math.log(Math.max(1, nm)) - from) / (to - from)) * 100;
  const { ranges } = wallCoverage(all);
  return {
    bars: ranges.map(({ wrench, low, high }) => ({
      id: wrench.id,
      name: wrench.name,
      left: at(low),
      width: at(high) - at(low),
      written: wrench.id === 'written',
    })),
    gaps: wallCoverage(shop.wrenches).gaps.map(({ low, high }) => ({
      low,
      high,
      left: at(low),
      width: at(high) - at(low),
    })),
    ticks: [1, 2, 4, 6, 10, 20, 50, 100].filter((nm) => Math.log(nm) <= to).map((nm) => ({ nm, left: at(nm) })),
  };
});
const gapWords = computed(() =>
  shop.wrenches.length === 0
    ? ''
    : drawn.value.gaps.length === 0
      ? `no hole from ${WALL_WANTED.low} to ${WALL_WANTED.high}`
      : `nothing true ${drawn.value.gaps.map(({ low, high }) => `from ${Number(low.toPrecision(2))} to ${Number(high.toPrecision(2))}`).join(' and ')}`,
);

function choose(id: WrenchKind): void {
  kind.value = id;
  tried.value = false;
}
async function attempt(work: () => Promise<{ readonly wrenches: readonly Wrench[] }>): Promise<boolean> {
  problem.value = '';
  try {
    shop.wrenches = (await work()).wrenches;
    return true;
  } catch (error) {
    problem.value = error instanceof ApiError || error instanceof Error ? error.message : String(error);
    return false;
  }
}
async function hang(): Promise<void> {
  tried.value = true;
  const { value } = written;
  if (value === null || !(await attempt(() => keepWrench({ ...value, id: freshId() })))) return;
  kind.value = null;
  stamped.value = step.value = checked.value = '';
  tried.value = false;
}
</script>

<template>
  <div>
    <div v-if="mayEdit" class="flex flex-wrap gap-2" role="group" aria-label="Kinds of wrench">
      <button
        v-for="each in KINDS"
        :key="each.id"
        type="button"
        class="quiet min-h-14"
        :aria-pressed="kind === each.id"
        @click="choose(each.id)"
      >
        {{ each.name }}<span v-if="count(each.id) > 0" class="figure text-sm">{{ count(each.id) }}</span>
      </button>
    </div>
    <form v-if="kind" class="mt-3 flex flex-wrap items-start gap-3" @submit.prevent="hang">
      <TextField
        v-model="stamped"
        class="w-52"
        label="As stamped"
        placeholder="4 to 20 N·m"
        :error="
          read?.ok === false
            ? read.message
            : tried && read === null
              ? 'From what to what, as it is stamped?'
              : undefined
        "
      />
      <TextField
        v-model="step"
        class="w-36"
        label="Marked every"
        :placeholder="read?.ok ? `${read.scale.step}, usual` : 'usual'"
      />
      <label class="block"
        ><span class="mb-1 block text-sm font-semibold">Last checked, if known</span
        ><input v-model="checked" type="date" class="input"
      /></label>
      <button type="submit" class="quiet mt-6">Hang it up</button>
      <p v-if="written" class="basis-full text-note">
        Read as {{ range(written) }}: <b>{{ words(written) }}</b>, marked every
        {{ format({ value: written.scale.step, unit: written.scale.unit }) }}.
      </p>
    </form>
    <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <ul v-if="shop.wrenches.length > 0" class="rows mt-3 border-y border-line" aria-label="On the wall">
      <li v-for="wrench in shop.wrenches" :key="wrench.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <span class="min-w-40 font-semibold">{{ wrench.name }}</span>
        <span class="text-soft">{{ range(wrench) }}; {{ words(wrench) }}</span>
        <span class="ml-auto flex items-baseline gap-4">
          <span :class="wrench.calibratedOn ? 'text-soft' : 'font-semibold text-brass'">{{
            wrench.calibratedOn ? `checked ${sayDate(wrench.calibratedOn)}` : 'check not known'
          }}</span>
          <button v-if="mayEdit" type="button" class="faint" @click="attempt(() => dropWrench(wrench.id))">
            Take it down<span class="sr-only">: {{ wrench.name }}</span>
          </button>
        </span>
      </li>
    </ul>
    <figure v-if="drawn.bars.length > 0" class="mt-4">
      <figcaption class="flex flex-wrap justify-between gap-x-4 text-sm font-semibold">
        <span>What the wall can do, N·m</span>
        <span :class="drawn.gaps.length > 0 ? 'text-oxide' : 'text-moss'">{{ gapWords }}</span>
      </figcaption>
      <div class="wall" aria-hidden="true">
        <span
          v-for="gap in drawn.gaps"
          :key="gap.low"
          class="gap"
          :style="{ left: `${gap.left}%`, width: `${gap.width}%` }"
        />
        <div v-for="bar in drawn.bars" :key="bar.id" class="lane">
          <span
            class="bar"
            :class="{ written: bar.written }"
            :style="{ left: `${bar.left}%`, width: `${bar.width}%` }"
            >{{ bar.name.toLowerCase() }}</span
          >
        </div>
        <div class="scale">
          <span v-for="tick in drawn.ticks" :key="tick.nm" :style="{ left: `${tick.left}%` }">{{ tick.nm }}</span>
        </div>
      </div>
    </figure>
  </div>
</template>

<style scoped>
.wall {
  position: relative;
  padding-top: 0.4rem;
}
.lane {
  position: relative;
  height: 26px;
}
.bar {
  position: absolute;
  overflow: hidden;
  height: 21px;
  padding: 0 0.4rem;
  border: 1.5px solid var(--bottle);
  background: var(--bottle);
  font-size: var(--text-fine);
  font-weight: 700;
  line-height: 19px;
  white-space: nowrap;
  color: var(--on-bottle);
}
.bar.written {
  border-style: dashed;
  background: var(--paper);
  color: var(--bottle);
}
.gap {
  position: absolute;
  top: 0;
  bottom: 1.4rem;
  background: repeating-linear-gradient(
    135deg,
    transparent 0 5px,
    color-mix(in srgb, var(--oxide) 35%, transparent) 5px 6.5px
  );
}
.scale {
  position: relative;
  height: 1.4rem;
  border-top: 1.5px solid var(--line);
  font-size: var(--text-fine);
  color: var(--soft);
}
.scale span {
  position: absolute;
  transform: translateX(-50%);
}
.scale span:first-child {
  transform: none;
}
</style>
