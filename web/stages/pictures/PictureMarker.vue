<script setup lang="ts">
import { useImage } from 'vue-konva';
import { ArrowUpRight, Circle, Crosshair, Hand, RotateCw, Trash2, Type, Undo2 } from '@lucide/vue';
import { computed } from 'vue';
import type { PictureRef } from '../../../core/job/index.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';
import MarkCanvas from './MarkCanvas.vue';
import { type MarkTool, useMarking } from './useMarking.ts';
import { apiUrl } from '../../data/world.ts';

/** Turns a picture, draws arrows, circles and words on it, and picks the two places that line it up with its counterpart. */
const props = defineProps<{ picture: PictureRef; what: string }>();
const emit = defineEmits<{ close: [] }>();
const form = useForm();
const [image, state] = useImage(() => apiUrl(`/pictures/${props.picture.hash}`));
const size = computed(() =>
  image.value === null || image.value.naturalWidth === 0
    ? { width: 1600, height: 1200 }
    : { width: image.value.naturalWidth, height: image.value.naturalHeight },
);
const marking = useMarking(props.picture.marking, () => size.value);
const { now, shown, past, tool, words, problem, begun, picked, cross } = marking;

const TOOLS: readonly { readonly id: MarkTool; readonly name: string; readonly icon: typeof Circle }[] = [
  { id: 'arrow', name: 'Arrow', icon: ArrowUpRight },
  { id: 'circle', name: 'Circle', icon: Circle },
  { id: 'text', name: 'Words', icon: Type },
  { id: 'move', name: 'Move', icon: Hand },
  { id: 'anchor', name: 'Line up', icon: Crosshair },
];
const HINTS: Readonly<Record<MarkTool, () => string>> = {
  arrow: () => (begun.value === null ? 'Drag to what it points at, or tap where it begins.' : 'Tap what it points at.'),
  circle: () =>
    begun.value === null ? 'Drag from the middle outwards, or tap the middle.' : 'Tap how far out it goes.',
  text: () => 'Type the words, then tap where they begin.',
  move: () =>
    picked.value === null ? 'Drag a mark where it belongs, or tap it to take it off.' : 'Drag it, or take it off.',
  anchor: () => `Pick two places that the other picture shows too: ${now.value.anchors.length} of 2.`,
};
const hint = computed(() => HINTS[tool.value]());
function key(event: KeyboardEvent): void {
  if ((event.ctrlKey || event.metaKey) && event.key === 'z') marking.undo();
  else if (!marking.key(event.key)) return;
  event.preventDefault();
}
function keep(): void {
  const { rotation, marks, anchors } = now.value;
  if (form.send('mark-picture', { pictureId: props.picture.id, rotation, marks: [...marks], anchors: [...anchors] }))
    emit('close');
}
</script>

<template>
  <SheetDialog :title="`Mark the picture: ${what}, ${picture.when}`" wide @close="$emit('close')">
    <div class="flex flex-wrap items-center gap-2">
      <div class="flex flex-wrap gap-2" role="group" aria-label="What to draw">
        <button
          v-for="each in TOOLS"
          :key="each.id"
          type="button"
          class="quiet"
          :aria-pressed="tool === each.id"
          @click="marking.take(each.id)"
        >
          <component :is="each.icon" :size="18" aria-hidden="true" />{{ each.name }}
        </button>
      </div>
      <div class="ml-auto flex flex-wrap gap-2">
        <button v-if="picked !== null" type="button" class="quiet" @click="marking.takeOff">
          <Trash2 :size="18" aria-hidden="true" />Take it off
        </button>
        <button type="button" class="quiet" @click="marking.turn">
          <RotateCw :size="18" aria-hidden="true" />Turn
        </button>
        <button type="button" class="quiet" :disabled="past.length === 0" @click="marking.undo">
          <Undo2 :size="18" aria-hidden="true" />Undo
        </button>
      </div>
    </div>
    <TextField
      v-if="tool === 'text'"
      v-model="words"
      class="mt-3"
      label="Words"
      placeholder="ring of coke"
      :error="problem || form.error('marks')"
    />
    <p class="mt-2 text-sm text-soft" aria-live="polite">{{ hint }} Arrow keys move the cross, Enter sets it.</p>
    <p v-if="state === 'error'" class="mt-2 font-semibold text-alarm" role="alert">
      The picture cannot be shown just now. What you mark is kept all the same.
    </p>
    <div
      class="mx-auto mt-2 w-full cursor-crosshair bg-band"
      :style="{
        maxWidth: `calc(44vh * ${now.rotation % 180 === 0 ? size.width / size.height : size.height / size.width})`,
      }"
      tabindex="0"
      role="application"
      aria-label="The picture; arrow keys move the cross, Enter sets a point"
      @keydown="key"
    >
      <MarkCanvas
        :image="image"
        :size="size"
        :rotation="now.rotation"
        :marks="shown"
        :picked="picked"
        :anchors="now.anchors"
        :begun="begun"
        :cross="cross"
        @press="marking.press"
        @drag="marking.drag"
        @release="marking.release"
        @cancel="marking.cancel"
      />
    </div>
    <p
      v-if="(tool !== 'text' && problem) || (form.error('anchors') ?? form.general('marks', 'anchors'))"
      class="mt-2 text-sm font-semibold text-alarm"
      role="alert"
    >
      {{ problem || (form.error('anchors') ?? form.general('marks', 'anchors')) }}
    </p>
    <button type="button" class="primary mt-4" @click="keep">Keep the marks</button>
  </SheetDialog>
</template>
