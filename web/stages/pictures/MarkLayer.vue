<script setup lang="ts">
import type { PictureMark } from '../../../core/job/index.ts';

/** What is drawn on a picture, in the picture's own pixels. Words stay upright however the picture is turned. */
defineProps<{ marks: readonly PictureMark[]; width: number; height: number; rotation: number }>();
const size = (width: number, height: number): number => Math.max(width, height) / 100;
/** The two strokes of an arrow's head. */
function head(mark: Extract<PictureMark, { kind: 'arrow' }>, width: number, height: number): string {
  const [x, y] = [mark.toX * width, mark.toY * height];
  const angle = Math.atan2(y - mark.y * height, x - mark.x * width);
  const length = size(width, height) * 3;
  const end = (turn: number): string => `${x - length * Math.cos(angle + turn)} ${y - length * Math.sin(angle + turn)}`;
  return `M${end(0.45)}L${x} ${y}L${end(-0.45)}`;
}
</script>

<template>
  <g>
    <template v-for="(mark, index) in marks" :key="index">
      <g v-if="mark.kind === 'arrow'" fill="none" stroke-linecap="round" stroke-linejoin="round">
        <path
          v-for="(colour, layer) in ['#1a1206', '#ffd34d']"
          :key="colour"
          :d="`M${mark.x * width} ${mark.y * height}L${mark.toX * width} ${mark.toY * height}${head(mark, width, height)}`"
          :stroke="colour"
          :stroke-width="size(width, height) * (layer === 0 ? 1.4 : 0.7)"
        />
      </g>
      <text
        v-else
        :x="mark.x * width"
        :y="mark.y * height"
        :font-size="size(width, height) * 4"
        font-weight="700"
        fill="#ffd34d"
        stroke="#1a1206"
        :stroke-width="size(width, height) * 0.9"
        paint-order="stroke"
        :transform="`rotate(${-rotation} ${mark.x * width} ${mark.y * height})`"
      >
        {{ mark.text }}
      </text>
    </template>
  </g>
</template>
