<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import type { Job, JobItem, Way } from '../../../core/job/index.ts';
import { useShop } from '../../stores/shop.ts';
import { bendLabels, isFar, layOut, middleOf, type Twine } from './layout.ts';
import TagColumn from './TagColumn.vue';
import { backName, backNote, offNote } from './tagNotes.ts';
import TwineStrings from './TwineStrings.vue';
import { useRowWindow } from './useRowWindow.ts';

/** Two facing columns on one sheet: came off downward, goes back upward, twins joined by string. */
const props = defineProps<{ job: Job; way: Way; selected: string }>();
defineEmits<{ choose: [id: string] }>();
const shop = useShop();

/** A gloved hand needs more than a mouse. */
const coarse = typeof window.matchMedia === 'function' && window.matchMedia('(pointer: coarse)').matches;
const pitch = coarse ? 60 : 43;

const middle = ref<HTMLElement | null>(null);
const width = ref(200);
let watcher: ResizeObserver | undefined;
onMounted(() => {
  watcher = new ResizeObserver(([entry]) => {
    width.value = entry?.contentRect.width ?? 200;
  });
  if (middle.value) watcher.observe(middle.value);
});
onBeforeUnmount(() => watcher?.disconnect());

const sheet = computed(() => layOut(props.job, props.way));
const height = computed(() => Math.max(sheet.value.left.length, sheet.value.right.length) * pitch);
const { range, reveal } = useRowWindow(
  middle,
  computed(() => Math.max(sheet.value.left.length, sheet.value.right.length)),
  pitch,
);
const seen = computed(() => {
  const { first, last } = range.value;
  const { left, right, twines } = sheet.value;
  const seenRow = (row: number): boolean => row >= first && row < last;
  const inSight = (twine: Twine): boolean =>
    isFar(twine) && twine.id !== props.selected
      ? seenRow(twine.from) || seenRow(twine.to)
      : Math.max(twine.from, twine.to) >= first && Math.min(twine.from, twine.to) < last;
  return {
    left: left.slice(first, last),
    right: right.slice(first, last),
    twines: twines.filter(inSight).map((twine) => ({ ...twine, far: isFar(twine) && twine.id !== props.selected })),
    above: `${first * pitch}px`,
  };
});
defineExpose({
  /** Brings an item's tag in the column that is being worked into sight. */
  reveal: (id: string, where: 'nearest' | 'center') =>
    reveal(
      (props.way === 'strip' ? sheet.value.left : sheet.value.right).findIndex(({ item }) => item.id === id),
      where,
    ),
});
const labels = computed(() => bendLabels(sheet.value.twines, props.selected, 3));

const nameOf = ({ name }: JobItem): string => name;
const onTheWayOff = (item: JobItem): string => offNote(props.job, item);
const onTheWayBack = (item: JobItem): string => backNote(item, props.way, shop.say.clock);
const isBack = (item: JobItem): boolean => item.back !== null;
</script>

<template>
  <div class="sheet" :style="{ '--pitch': `${pitch}px` }">
    <div class="heads">
      <h3>Came off <span aria-hidden="true">↓</span></h3>
      <h3>Goes back <span aria-hidden="true">↑</span></h3>
    </div>
    <div v-if="sheet.cycle.length > 0" class="border-l-[3px] border-alarm py-1 pl-3" role="alert">
      <p class="font-bold">This goes round in a circle</p>
      <p v-for="link in sheet.cycle" :key="link.from + link.to">
        {{ job.items.find(({ id }) => id === link.from)?.name }} before
        {{ job.items.find(({ id }) => id === link.to)?.name }}: {{ link.reason }}
      </p>
    </div>
    <div class="columns">
      <TagColumn
        aria-label="Came off, in this order"
        :style="{ height: `${height}px`, paddingTop: seen.above }"
        side="left"
        :rows="seen.left"
        :total="sheet.left.length"
        :selected="selected"
        :pitch="pitch"
        :name-of="nameOf"
        :note-of="onTheWayOff"
        @choose="$emit('choose', $event)"
      />
      <div ref="middle" class="middle" :style="{ height: `${height}px` }" aria-hidden="true">
        <TwineStrings
          :twines="seen.twines"
          :selected="selected"
          :width="width"
          :height="height"
          :pitch="pitch"
          :rows="sheet.right.length"
        />
        <p
          v-for="label in labels"
          :key="label.id"
          class="bend"
          :class="{ done: isBack(job.items.find(({ id }) => id === label.id)!) }"
          :style="{ top: `${middleOf(label.at, pitch)}px` }"
        >
          {{ label.reason }}
        </p>
      </div>
      <TagColumn
        aria-label="Goes back, read from the foot upward"
        :style="{ height: `${height}px`, paddingTop: seen.above }"
        side="right"
        :rows="seen.right"
        :total="sheet.right.length"
        :selected="selected"
        :pitch="pitch"
        :name-of="backName"
        :note-of="onTheWayBack"
        @choose="$emit('choose', $event)"
      />
    </div>
    <div class="turn" aria-hidden="true"><span /><em>the bench</em><span /></div>
  </div>
</template>

<style scoped>
.sheet {
  container: sheet / inline-size;
}
.heads {
  display: flex;
  justify-content: space-between;
  padding: 0.35rem 0 0.65rem;
}
.heads h3 {
  font-size: var(--text-sm);
  font-weight: 500;
  color: var(--soft);
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 286fr) minmax(24px, 236fr) minmax(0, 286fr);
}
.middle {
  position: relative;
  min-width: 0;
}
.bend {
  position: absolute;
  left: 50%;
  max-width: min(100%, 184px);
  padding: 0 3px;
  transform: translate(-50%, -50%);
  background: var(--paper);
  font-size: var(--text-fine);
  font-weight: 700;
  line-height: 1.2;
  color: var(--oxide);
  text-align: center;
  text-wrap: balance;
}
.bend.done {
  color: var(--moss);
}
.turn {
  display: flex;
  align-items: flex-end;
  justify-content: center;
  gap: 0.75rem;
  padding: 0.25rem 17% 0.75rem;
}
.turn span {
  height: 16px;
  flex: 1;
  border: 2px solid var(--line);
  border-top: 0;
  border-right: 0;
  border-bottom-left-radius: 8px;
}
.turn span:last-child {
  border-right: 2px solid var(--line);
  border-left: 0;
  border-bottom-left-radius: 0;
  border-bottom-right-radius: 8px;
}
.turn em {
  font-size: var(--text-sm);
  font-style: normal;
  line-height: 1;
  transform: translateY(6px);
  color: var(--soft);
}
@container sheet (max-width: 620px) {
  .columns {
    grid-template-columns: minmax(0, 1fr) 34px minmax(0, 1fr);
  }
  .bend {
    display: none;
  }
}
</style>
