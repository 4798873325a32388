import { computed, reactive, ref, watch } from 'vue';
import {
  asItem,
  type CommandBody,
  type Job,
  type JobItem,
  listedAs,
  placeFor,
  tagFor,
  takenOff,
  type TypedField,
  type TypedThing,
} from '../../../../core/job/index.ts';
import { jointOfWords, lineParts, type LineThing, readLine } from '../../../../core/line/index.ts';
import { type ItemKind, type Joint, jointOf } from '../../../../core/procedure/index.ts';
import { useTypedDraft } from '../../../forms/typedDraft.ts';
import { freshId, useJob } from '../../../stores/job.ts';
import { useForm } from '../../useForm.ts';

/** What a person put right in the chips of one thing, by field, as typed. */
type Changes = Partial<Record<TypedField, string>>;

/** A thing with the chips as they stand. */
export interface ReadThing {
  readonly thing: TypedThing;
  readonly text: (field: TypedField) => string;
  readonly problem: (field: TypedField) => string | null;
}

/** What is typed at the standing line, what it would record, and recording it. */
export function useStandingLine(job: () => Job) {
  const text = useTypedDraft(() => `line.${job().id}`);
  const form = useForm();
  const store = useJob();
  const changes = reactive<Record<number, Changes>>({});
  const ids = ref<readonly string[]>([]);
  /** Problems are told once somebody tried to record it; a sentence that is still being typed is left in peace. */
  const tried = ref(false);
  const forget = (): void => {
    for (const index of Object.keys(changes)) delete changes[Number(index)];
  };
  const heard = computed(() => readLine(text.value));
  // Ids are made when the things are, not while they are shown: the same thing keeps its own while it is typed on.
  watch(
    () => heard.value.length,
    (length) => {
      if (length > ids.value.length)
        ids.value = [...ids.value, ...Array.from({ length: length - ids.value.length }, () => freshId())];
    },
    { immediate: true, flush: 'sync' },
  );
  // A change of what is named is a new reading: what was put right in a chip goes with the thing it was put right on.
  watch(
    () => heard.value.map(({ name, kind }) => `${kind} ${name}`).join('\n'),
    (_, before) => before !== '' && forget(),
  );
  watch(text, () => {
    tried.value = false;
    form.clear();
  });

  const things = computed((): ReadThing[] => {
    const meant: string[] = [];
    return heard.value.map((said, index) => {
      const put = changes[index] ?? {};
      const thing = marked(asItem(job(), withChanges(said, put), ids.value[index] ?? `thing-${index}`, meant), put);
      meant.push(thing.pocket);
      return {
        thing,
        text: (field) => put[field] ?? shown(thing, field),
        problem: (field) =>
          tried.value ? (thing.problems.find((problem) => problem.field === field)?.message ?? null) : null,
      };
    });
  });
  const listed = computed(() => listedAs(job(), text.value));
  const change = (index: number, field: TypedField, value: string): void => {
    changes[index] = { ...changes[index], [field]: value };
  };

  function clear(): void {
    text.value = '';
    ids.value = [];
    forget();
    tried.value = false;
  }
  const send = ({ type, data }: CommandBody): boolean => form.send(type, data as never);

  /** Records the first so many things; the words of the others stay. @returns the id of the last that was recorded */
  function record(count: number): string | null {
    tried.value = true;
    const chosen = things.value.slice(0, count);
    if (chosen.length === 0 || chosen.some(({ thing }) => thing.problems.length > 0)) return null;
    let last: string | null = null;
    let done = 0;
    for (const { thing } of chosen) {
      if (!send({ type: 'take-off-typed', data: takenOff(store.job ?? job(), thing, freshId()) })) break;
      last = thing.item.id;
      done += 1;
    }
    const rest = lineParts(text.value).slice(done);
    if (done === heard.value.length || (done > 0 && rest.length === 0)) clear();
    else if (done > 0) {
      ids.value = ids.value.slice(done);
      forget();
      text.value = rest.join('; ');
    }
    return last;
  }

  /** Takes off what is listed already. */
  function takeListed(item: JobItem): boolean {
    const off = send({
      type: 'remove-item',
      data: {
        itemId: item.id,
        pocket: placeFor(job(), item),
        label: tagFor(item),
        countedOut: item.fasteners?.count ?? null,
      },
    });
    if (off) clear();
    return off;
  }

  return { text, things, listed, change, record, takeListed, form };
}

/** What a chip shows while nobody changed it. */
function shown({ item, pocket, plug }: TypedThing, field: TypedField): string {
  switch (field) {
    case 'name':
      return item.name;
    case 'kind':
      return item.kind;
    case 'count':
      return item.fasteners === null ? '' : String(item.fasteners.count);
    case 'thread':
      return item.fasteners?.thread ?? '';
    case 'joint':
      return jointOf(item);
    case 'tool':
      return item.tool;
    case 'torque':
      return item.fasteners?.spec?.text ?? '';
    case 'place':
      return pocket;
    case 'plug':
      return plug;
  }
}

/** What was read with what was put right. A count that is no number is kept as one that cannot be. */
function withChanges(said: LineThing, put: Changes): LineThing {
  const count = put.count === undefined ? said.count : put.count.trim() === '' ? null : Number(put.count);
  return {
    ...said,
    name: put.name ?? said.name,
    kind: (put.kind as ItemKind | undefined) ?? said.kind,
    kindSaid: put.kind === undefined ? said.kindSaid : true,
    joint:
      put.joint !== undefined
        ? (put.joint as Joint)
        : said.joint === null
          ? null
          : jointOfWords((put.name ?? said.name).toLowerCase(), (put.kind as ItemKind | undefined) ?? said.kind),
    count,
    thread: put.thread ?? said.thread,
    tool: put.tool ?? said.tool,
    torque: put.torque ?? said.torque,
    place: put.place ?? said.place,
    plug: put.plug ?? said.plug,
  };
}

/** What a person typed into a chip is as good as said; an emptied place is no proposal any more. */
const marked = (thing: TypedThing, put: Changes): TypedThing => ({
  ...thing,
  pocket: put.place === undefined ? thing.pocket : put.place.trim(),
  states: {
    ...thing.states,
    ...Object.fromEntries(
      Object.entries(put).flatMap(([field, value]) => (value.trim() === '' ? [] : [[field, 'said' as const]])),
    ),
  },
});
