import { computed, nextTick, ref, type Ref, shallowRef, watch } from 'vue';
import { z } from 'zod';
import { ApiError } from '../data/api.ts';
import { useRow } from '../stores/rows.ts';
import { dropDraft, keepDraft, readDraft } from './drafts.ts';

// Without it Zod tries whether it may compile code, which the page’s security policy forbids and reports.
z.config({ jitless: true });

/** What was typed as a row that would be sent, and which of its fields cannot be read at all, by path. */
export interface TypedRow {
  readonly row: unknown;
  readonly unread: Readonly<Record<string, string>>;
}
/** What a form of one row is made of. */
export interface RowFormOptions<Text extends object, Row> {
  /** What the contract wants of the row. */
  readonly schema: z.ZodType;
  /** Where it is saved. */
  readonly path: () => string;
  /** What the request calls the row. */
  readonly field: string;
  /** What a draft is kept by on this device; a new row has no id yet. */
  readonly draft: () => string;
  /** A row as it would be typed; null for a new one. */
  readonly textOf: (row: Row | null) => Text;
  readonly read: (text: Text) => TypedRow;
}

/**
 * A form of one row. What is wrong stands beside its field, by the contract's own schema and by what the server says, and
 * goes when it is put right; the first such field gets the focus. What was typed and not kept comes back when the form is
 * opened again on this device.
 */
export function useRowForm<Text extends object, Row>(options: RowFormOptions<Text, Row>) {
  const text = ref(options.textOf(null)) as Ref<Text>;
  const stored = useRow(options.path, options.field);
  const tried = ref(false);
  const busy = ref(false);
  const general = ref('');
  const refused = shallowRef<{ readonly fields: Readonly<Record<string, string>>; readonly row: unknown } | null>(null);
  /** What was sent last, for showing it beside what somebody else saved. */
  const sent = shallowRef<unknown>(null);
  /** The form shows what was typed earlier and not kept. */
  const restored = ref(false);
  let base = { text: options.textOf(null), version: 0 };

  const typed = computed(() => options.read(text.value));
  const own = computed(() => (tried.value ? wrongIn(options.schema, typed.value) : {}));
  const errors = computed((): Readonly<Record<string, string>> => ({ ...stillRefused(), ...own.value }));
  const said = computed(
    () => general.value || (Object.keys(own.value).length > 0 ? 'Not kept yet: see beside the fields.' : ''),
  );
  function stillRefused(): Record<string, string> {
    const { value } = refused;
    if (value === null) return {};
    const same = (path: string): boolean =>
      JSON.stringify(valueAt(value.row, path)) === JSON.stringify(valueAt(typed.value.row, path));
    return Object.fromEntries(Object.entries(value.fields).filter(([path]) => same(path)));
  }

  /** Shows a row, or a new one, or what was typed over it earlier. */
  function open(row: Row | null, version: number): void {
    base = { text: options.textOf(row), version };
    const draft = readDraft(options.draft(), base.text);
    show(draft?.text ?? options.textOf(row), draft?.basedOn ?? version);
    restored.value = draft !== null;
  }
  function show(next: Text, version: number): void {
    text.value = next;
    stored.version.value = version;
    tried.value = false;
    refused.value = null;
    general.value = '';
  }
  /** What is stored, without what was typed. */
  function startAfresh(): void {
    dropDraft(options.draft());
    restored.value = false;
    show(structuredClone(base.text), base.version);
  }

  // At once: a page may be closed in the same breath.
  watch(
    text,
    (next) => {
      if (JSON.stringify(next) === JSON.stringify(base.text)) dropDraft(options.draft());
      else keepDraft(options.draft(), { text: next, basedOn: stored.version.value });
    },
    { deep: true },
  );
  /** What was typed is not wanted after all. */
  const leave = (): void => dropDraft(options.draft());

  /** Keeps the row. @returns whether it is kept */
  async function submit(event?: Event): Promise<boolean> {
    const form = event?.currentTarget instanceof HTMLElement ? event.currentTarget : null;
    tried.value = true;
    general.value = '';
    refused.value = null;
    if (Object.keys(own.value).length > 0) return focusWrong(form);
    busy.value = true;
    sent.value = typed.value.row;
    try {
      if ((await stored.save(sent.value)) === null) return false;
      leave();
      restored.value = false;
      tried.value = false;
      return true;
    } catch (error) {
      general.value = error instanceof Error ? error.message : String(error);
      if (error instanceof ApiError) refused.value = { fields: fieldsOf(error, options.field), row: sent.value };
    } finally {
      busy.value = false;
    }
    return focusWrong(form);
  }
  /** What the other saved is right. */
  function takeTheirs(): void {
    const { newer } = stored;
    leave();
    base = { text: options.textOf(newer.value?.row as Row), version: newer.value?.version ?? base.version };
    restored.value = false;
    show(structuredClone(base.text), base.version);
    stored.haveSeen();
  }
  /** What was typed here is right: it goes on top of what the other saved. */
  function saveMine(): Promise<boolean> {
    stored.haveSeen();
    return submit();
  }

  return { text, errors, said, busy, sent, restored, newer: stored.newer, open, startAfresh, leave, submit, takeTheirs, saveMine }; // prettier-ignore
}

/** What the schema finds, and before it what cannot be read; the first of each field. */
function wrongIn(schema: z.ZodType, { row, unread }: TypedRow): Record<string, string> {
  const result = schema.safeParse(row);
  const found: Record<string, string> = {};
  for (const { path, message } of result.error?.issues ?? []) found[path.join('.')] ??= message;
  // What cannot be read is missing in the row, and the schema would say so in other words.
  for (const path of Object.keys(unread))
    for (const inside of Object.keys(found)) if (inside.startsWith(`${path}.`)) delete found[inside];
  return { ...found, ...unread };
}
const fieldsOf = (error: ApiError, field: string): Record<string, string> =>
  Object.fromEntries(
    Object.entries(error.fields).map(([path, message]) => [
      path === field ? '' : path.replace(`${field}.`, ''),
      message,
    ]),
  );
const valueAt = (row: unknown, path: string): unknown =>
  path === ''
    ? row
    : path.split('.').reduce<unknown>((of, key) => (of as Readonly<Record<string, unknown>> | undefined)?.[key], row);

/** The first field that is wrong is where to go on. */
async function focusWrong(form: HTMLElement | null): Promise<false> {
  await nextTick();
  form?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  return false;
}
