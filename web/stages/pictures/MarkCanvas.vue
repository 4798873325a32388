<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue';
import { Circle, Group, Image as Picture, Layer, Line, Stage, Text } from 'vue-konva';
import {
  asTaken,
  drawnMark,
  MARK_STROKES,
  markUnit,
  type PictureMark,
  type PictureSize,
  type Place,
  type Turn,
  turned,
} from '../../../core/job/index.ts';

/** The picture that is drawn on, as wide as there is room: what is marked, the places that line it up, and the cross. */
const props = defineProps<{
  image: HTMLImageElement | null;
  size: PictureSize;
  rotation: Turn;
  marks: readonly PictureMark[];
  picked: number | null;
  anchors: readonly Place[];
  begun: Place | null;
  cross: Place;
}>();
const emit = defineEmits<{ press: [at: Place]; drag: [at: Place]; release: [at: Place]; cancel: [] }>();

const box = useTemplateRef('box');
const width = ref(0);
let watching: ResizeObserver | undefined;
onMounted(() => {
  const element = box.value;
  if (element === null) return;
  watching = new ResizeObserver(() => (width.value = element.clientWidth));
  watching.observe(element);
  width.value = element.clientWidth;
});
onBeforeUnmount(() => watching?.disconnect());

const inFrame = computed(() => turned(props.rotation, props.size));
const scale = computed(() => width.value / inFrame.value.frame[0]);
const unit = computed(() => markUnit(props.size));
const stage = computed(() => ({ width: width.value, height: inFrame.value.frame[1] * scale.value }));
const group = computed(() => ({
  x: inFrame.value.shift[0] * scale.value,
  y: inFrame.value.shift[1] * scale.value,
  rotation: props.rotation,
  scaleX: scale.value,
  scaleY: scale.value,
}));
const drawn = computed(() => props.marks.map((mark) => drawnMark(mark, props.size, props.rotation)));
const [under, over] = MARK_STROKES;
const round = { lineCap: 'round', lineJoin: 'round' } as const;
const flat = (line: readonly Place[]): number[] => line.flatMap(({ x, y }) => [x, y]);
const at = ({ x, y }: Place): Place => ({ x: x * props.size.width, y: y * props.size.height });

interface Pointed {
  readonly evt: PointerEvent;
}
/** From the pointer to the picture as taken. */
function place({ evt }: Pointed): Place {
  const frame = box.value?.getBoundingClientRect();
  if (frame === undefined) return { x: 0, y: 0 };
  return asTaken(props.rotation, (evt.clientX - frame.left) / frame.width, (evt.clientY - frame.top) / frame.height);
}
</script>

<template>
  <!-- A finger that draws does not scroll the page. -->
  <div ref="box" class="touch-none" :style="{ aspectRatio: `${inFrame.frame[0]} / ${inFrame.frame[1]}` }">
    <Stage
      v-if="width > 0"
      :config="stage"
      @pointerdown="(event: Pointed) => emit('press', place(event))"
      @pointermove="(event: Pointed) => emit('drag', place(event))"
      @pointerup="(event: Pointed) => emit('release', place(event))"
      @pointercancel="emit('cancel')"
      @pointerleave="emit('cancel')"
    >
      <Layer>
        <Group :config="group">
          <Picture v-if="image" :config="{ image, width: size.width, height: size.height }" />
          <template v-for="(mark, index) in drawn" :key="index">
            <Text
              v-if="mark.kind === 'words'"
              :config="{
                x: mark.x,
                y: mark.y,
                text: mark.text,
                fontSize: mark.size,
                fontStyle: '700',
                fontFamily: '\'Atkinson Hyperlegible Next Variable\', sans-serif',
                // Words begin at their foot, as on the sheet.
                offsetY: mark.size * 0.82,
                rotation: mark.turn,
                fill: over.colour,
                stroke: under.colour,
                strokeWidth: unit * 0.9,
                fillAfterStrokeEnabled: true,
                opacity: picked === index ? 0.7 : 1,
              }"
            />
            <template v-for="stroke in MARK_STROKES" v-else :key="stroke.colour">
              <Circle
                v-if="mark.kind === 'ring'"
                :config="{
                  x: mark.x,
                  y: mark.y,
                  radius: mark.radius,
                  stroke: stroke.colour,
                  strokeWidth: unit * stroke.width,
                  opacity: picked === index ? 0.7 : 1,
                }"
              />
              <template v-else>
                <Line
                  v-for="(line, nth) in mark.lines"
                  :key="nth"
                  :config="{
                    points: flat(line),
                    stroke: stroke.colour,
                    strokeWidth: unit * stroke.width,
                    opacity: picked === index ? 0.7 : 1,
                    ...round,
                  }"
                />
              </template>
            </template>
          </template>
          <template v-for="(each, index) in anchors" :key="`anchor-${index}`">
            <Circle
              v-for="stroke in MARK_STROKES"
              :key="stroke.colour"
              :config="{ ...at(each), radius: unit * 2.2, stroke: stroke.colour, strokeWidth: unit * stroke.width }"
            />
          </template>
          <Circle v-if="begun" :config="{ ...at(begun), radius: unit, fill: over.colour }" />
          <Line
            v-for="(arm, index) in [
              [-2, 0, 2, 0],
              [0, -2, 0, 2],
            ]"
            :key="`arm-${index}`"
            :config="{
              ...at(cross),
              points: arm.map((each) => each * unit),
              stroke: over.colour,
              strokeWidth: unit * 0.3,
            }"
          />
        </Group>
      </Layer>
    </Stage>
  </div>
</template>
