import { ref, watch } from 'vue';
import { dropDraft, keepDraft, readDraft } from './drafts.ts';

/** A text that survives leaving, Esc and a reload on this device, until it is empty again. @param name of the draft */
export function useTypedDraft(name: () => string) {
  const read = (): string => readDraft(name(), { words: '' })?.text.words ?? '';
  const text = ref(read());
  watch(name, () => (text.value = read()));
  watch(text, (words) => (words === '' ? dropDraft(name()) : keepDraft(name(), { text: { words }, basedOn: 0 })));
  return text;
}
