import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { defineComponent } from 'vue';
import { z } from 'zod';
import TextField from '../parts/TextField.vue';
import { freshShop, movedOn, read, refusal, serve } from '../testing.ts';
import DraftNote from './DraftNote.vue';
import { readDraft } from './drafts.ts';
import { useRowForm } from './rowForm.ts';

interface Row {
  readonly name: string;
  readonly count: number;
}
interface Text {
  name: string;
  count: string;
}
const schema = z.strictObject({
  name: z.string().min(1, 'What is it called?'),
  count: z.number().max(9, 'Expected at most 9.'),
});
/** A form with two fields over a row of its own. */
const Form = defineComponent({
  components: { DraftNote, TextField },
  props: { row: { type: Object as () => Row | null, default: null }, version: { type: Number, default: 0 } },
  emits: ['kept'],
  setup(props, { emit }) {
    const form = useRowForm<Text, Row>({
      schema,
      path: () => '/rows/r',
      field: 'row',
      draft: () => 'row.r',
      textOf: (row) => ({ name: row?.name ?? '', count: String(row?.count ?? 1) }),
      read: ({ name, count }) => {
        const value = Number(count);
        return {
          row: { name, count: Number.isNaN(value) ? undefined : value },
          unread: Number.isNaN(value) ? { count: `Expected a number, got “${count}”.` } : {},
        };
      },
    });
    form.open(props.row, props.version);
    const keep = async (event: Event) => (await form.submit(event)) && emit('kept');
    return { ...form, keep };
  },
  template: `<form @submit.prevent="keep">
    <DraftNote :restored="restored" @afresh="startAfresh" />
    <TextField v-model="text.name" label="Name" :error="errors.name" />
    <TextField v-model="text.count" label="Count" :error="errors.count" />
    <p>{{ said }}</p><p v-if="newer">saved meanwhile</p>
    <button type="button" @click="takeTheirs">theirs</button><button type="button" @click="leave">leave</button>
  </form>`,
});
const show = (props: object = {}) => {
  const wrapper = mount(Form, { props, attachTo: document.body });
  const inputs = () => wrapper.findAll('input');
  const values = () => inputs().map(({ element }) => element.value);
  const type = async (name: string, count: string) => {
    await inputs()[0]!.setValue(name);
    await inputs()[1]!.setValue(count);
  };
  const keep = async () => {
    await wrapper.get('form').trigger('submit');
    await flushPromises();
  };
  return { wrapper, inputs, values, type, keep };
};
beforeEach(freshShop);

describe('a form of a row', () => {
  it('says nothing before one has tried, then what is wrong, until it is put right; the first wrong field has the focus', async () => {
    const asked = serve({ 'PUT /api/rows/r': {} });
    const { wrapper, inputs, type, keep } = show();
    await type('', 'many');
    expect(read(wrapper)).not.toContain('What is it called?');
    await keep();
    expect(asked).toEqual([]);
    expect(read(wrapper)).toContain('What is it called?');
    expect(read(wrapper)).toContain('Expected a number, got “many”.');
    expect(document.activeElement).toBe(inputs()[0]!.element);
    await type('Ring', '12');
    expect(read(wrapper)).not.toContain('What is it called?');
    expect(read(wrapper)).toContain('Expected at most 9.');
    await type('Ring', '3');
    expect(read(wrapper)).not.toContain('Not kept yet');
    await keep();
    expect(asked).toMatchObject([
      { method: 'PUT', body: { by: 'tomas', basedOn: 0, row: { name: 'Ring', count: 3 } } },
    ]);
    expect(wrapper.emitted('kept')).toHaveLength(1);
    wrapper.unmount();
  });
  it('keeps what the server says beside its field as long as that is the same', async () => {
    serve({ 'PUT /api/rows/r': refusal(400, 'It is there already.', { 'row.name': 'That name is taken.' }) });
    const { wrapper, inputs, type, keep } = show({ row: { name: 'Ring', count: 2 }, version: 4 });
    await keep();
    expect(read(wrapper)).toContain('That name is taken.');
    expect(document.activeElement).toBe(inputs()[0]!.element);
    await type('Ring', '5');
    expect(read(wrapper)).toContain('That name is taken.');
    await type('Seal', '5');
    expect(read(wrapper)).not.toContain('That name is taken.');
    wrapper.unmount();
  });
  it('brings back what was typed and not kept, over the version that it was typed over', async () => {
    const asked = serve({ 'PUT /api/rows/r': {} });
    const first = show({ row: { name: 'Ring', count: 2 }, version: 4 });
    await first.type('Ring, new', '3');
    first.wrapper.unmount();
    expect(readDraft('row.r', { name: '', count: '' })).toEqual({
      text: { name: 'Ring, new', count: '3' },
      basedOn: 4,
    });
    const again = show({ row: { name: 'Ring, another', count: 2 }, version: 5 });
    expect(again.values()).toEqual(['Ring, new', '3']);
    expect(read(again.wrapper)).toContain('What you typed here earlier and did not keep is back.');
    await again.keep();
    expect(asked[0]?.body).toMatchObject({ basedOn: 4 });
    again.wrapper.unmount();
    expect(show({ row: { name: 'Ring', count: 2 }, version: 6 }).values()).toEqual(['Ring', '2']);
  });
  it('starts afresh when it is asked to, and forgets what was left on purpose', async () => {
    serve({});
    const first = show();
    await first.type('Ring', '3');
    first.wrapper.unmount();
    const again = show();
    await again.wrapper
      .findAll('button')
      .find((each) => each.text() === 'Start afresh')!
      .trigger('click');
    expect(again.values()).toEqual(['', '1']);
    expect(read(again.wrapper)).not.toContain('is back');
    await again.type('Seal', '2');
    await again.wrapper
      .findAll('button')
      .find((each) => each.text() === 'leave')!
      .trigger('click');
    again.wrapper.unmount();
    expect(show().values()).toEqual(['', '1']);
  });
  it('forgets a draft that is typed back to what is stored, and takes none that is not its own', async () => {
    serve({});
    const row = { row: { name: 'Ring', count: 2 }, version: 4 };
    const { wrapper, type } = show(row);
    await type('Seal', '2');
    await type('Ring', '2');
    expect(localStorage).toHaveLength(0);
    wrapper.unmount();
    localStorage.setItem('unhurried-wrench.draft.row.r', '{"text":{"plate":"x"},"basedOn":1}');
    expect(show(row).values()).toEqual(['Ring', '2']);
    localStorage.setItem('unhurried-wrench.draft.row.r', 'cut sho');
    expect(show(row).values()).toEqual(['Ring', '2']);
  });
  it('shows what somebody else saved meanwhile, and takes it when told so', async () => {
    serve({ 'PUT /api/rows/r': movedOn(5, { name: 'Ring of Isla', count: 7 }) });
    const { wrapper, type, keep, values } = show({ row: { name: 'Ring', count: 2 }, version: 4 });
    await type('Ring of Tomas', '3');
    await keep();
    expect(read(wrapper)).toContain('saved meanwhile');
    expect(values()).toEqual(['Ring of Tomas', '3']);
    await wrapper
      .findAll('button')
      .find((each) => each.text() === 'theirs')!
      .trigger('click');
    expect(values()).toEqual(['Ring of Isla', '7']);
    wrapper.unmount();
    expect(show({ row: { name: 'Ring of Isla', count: 7 }, version: 5 }).values()).toEqual(['Ring of Isla', '7']);
  });
});
