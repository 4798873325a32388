import { onBeforeUnmount, onMounted, reactive } from 'vue';

/** A key that does something on the present screen. */
export interface KeyBinding {
  /** As `KeyboardEvent.key`, lower case; two letters are pressed one after the other. */
  readonly keys: string;
  /** What it does, as said on the sheet of keys. */
  readonly does: string;
  readonly run: () => void;
}

const bindings = reactive(new Set<KeyBinding>());

/** Every binding in force, for the sheet of keys. */
export const boundKeys = bindings;

/** Binds keys while a component is on the screen. Later bindings of the same key win. */
export function useKeys(list: readonly KeyBinding[]): void {
  onMounted(() => {
    for (const binding of list) bindings.add(binding);
  });
  onBeforeUnmount(() => {
    for (const binding of list) bindings.delete(binding);
  });
}

const TYPING = 'input, textarea, select, [contenteditable="true"]';
/** A button or link has its own meaning for Space and Enter while it holds the focus. */
const OWN_SPACE = 'button, a, summary, [role="radio"], [role="option"], [role="tab"]';
const SEQUENCE_MS = 1200;

let first: { key: string; at: number } | null = null;

/** Listens for the whole application; never while typing, and not for what the focused control means by itself. */
export function listenForKeys(event: KeyboardEvent): void {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return;
  const target = event.target instanceof Element ? event.target : null;
  if (target?.closest(TYPING)) return;
  // A sheet lies over the screen that the keys belong to, wherever the focus is.
  if (document.querySelector('[role="dialog"]') !== null) return;
  const key = event.key.toLowerCase();
  if ((key === ' ' || key === 'enter') && target?.closest(OWN_SPACE)) return;
  const sequence = first !== null && Date.now() - first.at < SEQUENCE_MS ? first.key + key : '';
  const found = last(sequence) ?? last(key);
  first = key === 'g' ? { key, at: Date.now() } : null;
  if (found === undefined) return;
  event.preventDefault();
  found.run();
}

const last = (keys: string): KeyBinding | undefined =>
  keys === '' ? undefined : [...bindings].filter((binding) => binding.keys === keys).at(-1);
