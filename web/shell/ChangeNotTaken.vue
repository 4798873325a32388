<script setup lang="ts">
import { nextTick, onMounted, ref, useTemplateRef } from 'vue';
import type { TypedPart } from '../../core/job/index.ts';
import TextField from '../parts/TextField.vue';
import { type NotTaken, useOutbox } from '../stores/outbox.ts';

/** What a person typed into an entry that was not taken, to be put otherwise and sent as it is then. */
const props = defineProps<{ entry: NotTaken; parts: readonly TypedPart[] }>();
defineEmits<{ close: [] }>();
const outbox = useOutbox();
const texts = ref(props.parts.map(({ text }) => text));
const form = useTemplateRef<HTMLFormElement>('form');
onMounted(async () => {
  await nextTick();
  form.value?.querySelector<HTMLElement>('input, textarea')?.focus();
});

/** Texts above this many characters are written in several lines. */
const ONE_LINE = 300;

async function send(): Promise<void> {
  const { withText } = await import('../stores/engine.ts');
  let { data } = props.entry.command;
  let meant = props.entry.meant ?? '';
  for (const [at, { path, text: before }] of props.parts.entries()) {
    const text = texts.value[at] ?? before;
    data = withText(data, path, text);
    meant = meant.replace(before, () => text);
  }
  await outbox.changed(props.entry, data, meant);
}
</script>

<template>
  <form ref="form" class="mt-2 grid max-w-xl gap-3" @submit.prevent="send">
    <TextField
      v-for="(part, at) in parts"
      :key="part.path.join('.')"
      :model-value="texts[at] ?? ''"
      :label="part.label"
      v-bind="part.max > ONE_LINE ? { lines: 3 } : {}"
      @update:model-value="texts[at] = $event"
    />
    <p class="flex flex-wrap items-center gap-x-4">
      <button type="submit" class="primary">Send as it is now</button>
      <button type="button" class="quiet" @click="$emit('close')">Not now</button>
    </p>
  </form>
</template>
