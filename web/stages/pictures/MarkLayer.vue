<script setup lang="ts">
import { computed } from 'vue';
import {
  drawnMark,
  MARK_STROKES,
  markUnit,
  type PictureMark,
  type PictureSize,
  type Place,
  type Turn,
} from '../../../core/job/index.ts';

/** What is drawn on a picture, in the picture's own pixels. Words stay upright however the picture is turned. */
const props = defineProps<{ marks: readonly PictureMark[]; size: PictureSize; rotation: Turn }>();
const drawn = computed(() => props.marks.map((mark) => drawnMark(mark, props.size, props.rotation)));
const unit = computed(() => markUnit(props.size));
const points = (line: readonly Place[]): string => line.map(({ x, y }) => `${x},${y}`).join(' ');
const [under, over] = MARK_STROKES;
</script>

<template>
  <g fill="none" stroke-linecap="round" stroke-linejoin="round">
    <template v-for="(mark, index) in drawn" :key="index">
      <text
        v-if="mark.kind === 'words'"
        :x="mark.x"
        :y="mark.y"
        :font-size="mark.size"
        font-weight="700"
        :fill="over.colour"
        :stroke="under.colour"
        :stroke-width="unit * 0.9"
        paint-order="stroke"
        :transform="`rotate(${mark.turn} ${mark.x} ${mark.y})`"
      >
        {{ mark.text }}
      </text>
      <g
        v-for="stroke in MARK_STROKES"
        v-else
        :key="stroke.colour"
        :stroke="stroke.colour"
        :stroke-width="unit * stroke.width"
      >
        <circle v-if="mark.kind === 'ring'" :cx="mark.x" :cy="mark.y" :r="mark.radius" />
        <template v-else>
          <polyline v-for="(line, nth) in mark.lines" :key="nth" :points="points(line)" />
        </template>
      </g>
    </template>
  </g>
</template>
