<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { PictureMark, PictureRef } from '../../../core/job/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';
import MarkLayer from './MarkLayer.vue';
import { asTaken, type Turn, turned } from './turned.ts';
import { usePictureSize } from './usePictureSize.ts';

/** Turns a picture, draws arrows and words on it, and picks the two places that line it up with its counterpart. */
const props = defineProps<{ picture: PictureRef; what: string }>();
const emit = defineEmits<{ close: [] }>();
type Tool = 'arrow' | 'text' | 'anchor';
const form = useForm();
const tool = ref<Tool | null>('arrow');
const words = ref('');
const rotation = ref<Turn>(props.picture.marking?.rotation ?? 0);
const marks = ref<PictureMark[]>([...(props.picture.marking?.marks ?? [])]);
const anchors = ref<{ x: number; y: number }[]>([...(props.picture.marking?.anchors ?? [])]);
/** Where an arrow begins, until its end is set. */
const begun = ref<{ x: number; y: number } | null>(null);
/** The cross that arrow keys move, as a share of the picture as taken. */
const cross = ref({ x: 0.5, y: 0.5 });
const size = usePictureSize(() => props.picture.hash);
watch(tool, () => (begun.value = null));

const shown = computed(() => turned(rotation.value, size.value));
function tap(event: MouseEvent): void {
  const frame = (event.currentTarget as SVGElement).getBoundingClientRect();
  put(asTaken(rotation.value, (event.clientX - frame.left) / frame.width, (event.clientY - frame.top) / frame.height));
}
function put(at: { x: number; y: number }): void {
  const place = { x: Math.min(1, Math.max(0, at.x)), y: Math.min(1, Math.max(0, at.y)) };
  cross.value = place;
  if (tool.value === 'anchor') anchors.value = anchors.value.length >= 2 ? [place] : [...anchors.value, place];
  else if (tool.value === 'text') marks.value = [...marks.value, { kind: 'text', ...place, text: words.value.trim() }];
  else if (begun.value === null) begun.value = place;
  else {
    marks.value = [...marks.value, { kind: 'arrow', ...begun.value, toX: place.x, toY: place.y }];
    begun.value = null;
  }
}
const STEP = 0.02;
const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
function key(event: KeyboardEvent): void {
  const move = MOVES[event.key];
  if (move !== undefined) {
    event.preventDefault();
    const from = asTaken(rotation.value, 0.5, 0.5);
    const to = asTaken(rotation.value, 0.5 + move[0], 0.5 + move[1]);
    const inside = (value: number): number => Math.min(1, Math.max(0, value));
    cross.value = { x: inside(cross.value.x + to.x - from.x), y: inside(cross.value.y + to.y - from.y) };
  } else if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault();
    put(cross.value);
  }
}
function turn(): void {
  rotation.value = ((rotation.value + 90) % 360) as Turn;
}
function keep(): void {
  if (
    form.send('mark-picture', {
      pictureId: props.picture.id,
      rotation: rotation.value,
      marks: marks.value,
      anchors: anchors.value,
    })
  )
    emit('close');
}
const hint = computed(() =>
  tool.value === 'arrow'
    ? begun.value === null
      ? 'Tap where the arrow begins.'
      : 'Tap what it points at.'
    : tool.value === 'text'
      ? 'Type the words, then tap where they stand.'
      : `Pick two places that the other picture shows too: ${anchors.value.length} of 2.`,
);
const unit = computed(() => Math.max(size.value.width, size.value.height) / 100);
</script>

<template>
  <SheetDialog :title="`Mark the picture: ${what}, ${picture.when}`" wide @close="$emit('close')">
    <div class="flex flex-wrap items-end gap-3">
      <ChoiceRow
        v-model="tool"
        label="What to draw"
        hide-label
        :options="[
          { id: 'arrow', name: 'Arrow' },
          { id: 'text', name: 'Words' },
          { id: 'anchor', name: 'Line up' },
        ]"
      />
      <button type="button" class="quiet" @click="turn">Turn</button>
      <button type="button" class="quiet" :disabled="marks.length === 0" @click="marks = marks.slice(0, -1)">
        Last mark off
      </button>
    </div>
    <TextField
      v-if="tool === 'text'"
      v-model="words"
      class="mt-3"
      label="Words"
      placeholder="ring of coke"
      :error="form.error('marks')"
    />
    <p class="mt-2 text-sm text-soft" aria-live="polite">{{ hint }} Arrow keys move the cross, Enter sets it.</p>
    <svg
      class="mt-2 w-full touch-manipulation cursor-crosshair bg-band"
      :viewBox="`0 0 ${shown.frame[0]} ${shown.frame[1]}`"
      preserveAspectRatio="none"
      :style="{
        aspectRatio: `${shown.frame[0]} / ${shown.frame[1]}`,
        maxWidth: `calc(50vh * ${shown.frame[0] / shown.frame[1]})`,
      }"
      tabindex="0"
      role="application"
      aria-label="The picture; arrow keys move the cross, Enter sets a point"
      @click="tap"
      @keydown="key"
    >
      <g :transform="shown.transform">
        <image :href="`/api/pictures/${picture.hash}`" :width="size.width" :height="size.height" />
        <MarkLayer :marks="marks" :width="size.width" :height="size.height" :rotation="rotation" />
        <g fill="none" stroke="#ffd34d" :stroke-width="unit * 0.5">
          <g v-for="(each, index) in anchors" :key="index">
            <circle
              :cx="each.x * size.width"
              :cy="each.y * size.height"
              :r="unit * 2.2"
              stroke="#1a1206"
              :stroke-width="unit"
            />
            <circle :cx="each.x * size.width" :cy="each.y * size.height" :r="unit * 2.2" />
          </g>
          <circle v-if="begun" :cx="begun.x * size.width" :cy="begun.y * size.height" :r="unit" fill="#ffd34d" />
          <path
            :d="`M${cross.x * size.width - unit * 2} ${cross.y * size.height}h${unit * 4}M${cross.x * size.width} ${cross.y * size.height - unit * 2}v${unit * 4}`"
            :stroke-width="unit * 0.3"
          />
        </g>
      </g>
    </svg>
    <p
      v-if="form.error('anchors') ?? form.general('marks', 'anchors')"
      class="mt-2 text-sm font-semibold text-alarm"
      role="alert"
    >
      {{ form.error('anchors') ?? form.general('marks', 'anchors') }}
    </p>
    <button type="button" class="primary mt-4" @click="keep">Keep the marks</button>
  </SheetDialog>
</template>
