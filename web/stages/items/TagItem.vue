<script setup lang="ts">
/** A paper tag with a punched hole: number, short name, a few words. Its point faces the string. */
defineProps<{
  number: number;
  name: string;
  note: string;
  state: 'on' | 'off' | 'refitted' | 'renewed' | 'left-off';
  side: 'left' | 'right';
  selected: boolean;
  wet: boolean;
}>();
defineEmits<{ choose: [] }>();
const words = { on: 'still on', off: 'off', refitted: 'back', renewed: 'back, new', 'left-off': 'left off' } as const;
</script>

<template>
  <button
    type="button"
    class="tag"
    :class="[side, state, { selected }]"
    :aria-pressed="selected"
    @click="$emit('choose')"
  >
    <span class="face">
      <span class="number">{{ number }}</span>
      <span class="name">{{ name }}</span>
      <span v-if="note" class="note" :class="{ wet }">{{ note }}</span>
      <span class="sr-only">, {{ words[state] }}</span>
    </span>
    <svg class="point" viewBox="0 0 16 34" preserveAspectRatio="none" aria-hidden="true">
      <path
        :d="
          side === 'left'
            ? 'M0 0.75 L5.5 0.75 L15 9.5 L15 24.5 L5.5 33.25 L0 33.25'
            : 'M16 0.75 L10.5 0.75 L1 9.5 L1 24.5 L10.5 33.25 L16 33.25'
        "
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <span class="hole" aria-hidden="true" />
  </button>
</template>

<style scoped>
.tag {
  --edge: var(--oxide);
  position: relative;
  display: flex;
  width: 100%;
  height: calc(var(--pitch) - 9px);
  min-width: 0;
  text-align: left;
  align-items: stretch;
}
.right {
  flex-direction: row-reverse;
}
.face {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  flex: 1;
  min-width: 0;
  padding: 0 0.55rem 0 0.75rem;
  background: var(--card);
  border: 1.5px solid var(--edge);
}
.left .face {
  margin-right: -1px;
  border-right: 0;
}
.right .face {
  margin-left: -1px;
  border-left: 0;
}
.point {
  width: 16px;
  flex: none;
  overflow: visible;
}
.point path {
  fill: var(--card);
  stroke: var(--edge);
  stroke-width: 1.5px;
}
.hole {
  position: absolute;
  top: 50%;
  width: 9px;
  height: 9px;
  margin-top: -4.5px;
  border: 1.5px solid var(--edge);
  border-radius: 50%;
  background: var(--paper);
}
.left .hole {
  right: 4px;
}
.right .hole {
  left: 4px;
}
.number {
  min-width: 1.1rem;
  font-size: var(--text-fine);
  font-weight: 700;
  color: var(--edge);
}
.name {
  overflow: hidden;
  font-size: var(--text-note);
  font-weight: 600;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.note {
  margin-left: auto;
  flex: none;
  max-width: 46%;
  overflow: hidden;
  font-size: var(--text-xs);
  color: var(--soft);
  text-overflow: ellipsis;
  white-space: nowrap;
}
.note.wet {
  color: var(--harbour);
}
.on {
  --edge: var(--line);
}
.on .face,
.on .point path {
  background: transparent;
  fill: transparent;
}
.on .face {
  border-style: dashed;
}
.on .number,
.on .name {
  color: var(--soft);
}
.refitted,
.renewed,
.left-off {
  --edge: var(--line);
}
.refitted .face,
.renewed .face,
.left-off .face {
  background: var(--band);
}
.refitted .point path,
.renewed .point path,
.left-off .point path {
  fill: var(--band);
}
.refitted .name,
.renewed .name,
.left-off .name,
.refitted .number,
.renewed .number {
  font-weight: 500;
  color: var(--soft);
}
.refitted .hole,
.renewed .hole {
  border-color: var(--moss);
}
.right.refitted .note,
.right.renewed .note {
  color: var(--moss);
}
.left-off .note {
  color: var(--brass);
}
.selected {
  --edge: var(--ink);
}
.selected .face {
  border-width: 2.5px;
  border-style: solid;
}
.selected.left .face {
  border-right-width: 0;
}
.selected.right .face {
  border-left-width: 0;
}
.selected .point path {
  stroke-width: 2.5px;
}
.selected .name,
.selected .number {
  font-weight: 700;
  color: var(--ink);
}
@container sheet (max-width: 620px) {
  .note {
    display: none;
  }
  .face {
    gap: 0.35rem;
    padding: 0 0.3rem;
  }
  .name {
    font-size: var(--text-fine);
    line-height: 1.1;
    white-space: normal;
    display: -webkit-box;
    -webkit-line-clamp: 2;
    -webkit-box-orient: vertical;
  }
}
</style>
