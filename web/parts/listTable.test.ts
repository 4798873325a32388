import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { nextTick } from 'vue';
import { press, read } from '../testing.ts';
import { type ListColumn, orderBy } from './listColumns.ts';
import ListTable from './ListTable.vue';

interface Row {
  readonly id: string;
  readonly name: string;
  readonly place: string;
}
const columns: readonly ListColumn[] = [
  { id: 'name', name: 'Name', sort: 'name', always: true },
  { id: 'place', name: 'Place', sort: 'place', from: 'md' },
  { id: 'note', name: 'Note' },
];
const rowsOf = (count: number): Row[] =>
  Array.from({ length: count }, (_, index) => ({ id: `r${index}`, name: `Thing ${index}`, place: `A${index}` }));
const show = (rows: readonly Row[], more = {}) =>
  mount(ListTable, {
    props: {
      name: 'things',
      caption: 'Things',
      columns,
      rows,
      keyOf: (row: Row) => row.id,
      order: { sort: 'name', direction: 'asc' },
      more: false,
      busy: false,
      ...more,
    } as never,
    slots: {
      'cell-name': ({ row }: { row: Row }) => row.name,
      'cell-place': ({ row }: { row: Row }) => row.place,
      'cell-note': () => 'noted',
    } as never,
    attachTo: document.body,
  });
const heads = (wrapper: ReturnType<typeof show>) => wrapper.findAll('thead th').map((each) => each.text());
beforeEach(() => localStorage.clear());

describe('a list of the shop', () => {
  it('says what it is in order by, and asks for the other way round, or by another column', async () => {
    const wrapper = show(rowsOf(3));
    expect(wrapper.find('caption').text()).toBe('Things');
    expect(wrapper.find('th[aria-sort="ascending"]').text()).toBe('Name');
    await press(wrapper, 'Name');
    await press(wrapper, 'Place');
    expect(wrapper.emitted('order')).toEqual([
      [{ sort: 'name', direction: 'desc' }],
      [{ sort: 'place', direction: 'asc' }],
    ]);
    // What has no index cannot be put in order.
    expect(wrapper.findAll('thead button').map((each) => each.text())).not.toContain('Note');
    expect(orderBy({ sort: 'a', direction: 'desc' }, 'a').direction).toBe('asc');
    wrapper.unmount();
  });
  it('shows the columns that one chose, and remembers them on this device', async () => {
    const wrapper = show(rowsOf(1));
    await wrapper.get('[title="Columns"]').trigger('click');
    const boxes = wrapper.findAll<HTMLInputElement>('input[type="checkbox"]');
    expect(boxes.map(({ element }) => element.disabled)).toEqual([true, false, false]);
    await boxes[1]!.trigger('change');
    expect(heads(wrapper).slice(0, 2)).toEqual(['Name', 'Note']);
    expect(read(wrapper.find('tbody'))).toBe('Thing 0noted');
    wrapper.unmount();
    const again = show(rowsOf(1));
    expect(heads(again).slice(0, 2)).toEqual(['Name', 'Note']);
    await again.get('[title="Columns"]').trigger('click');
    await again.findAll('input[type="checkbox"]')[1]!.trigger('change');
    expect(heads(again).slice(0, 3)).toEqual(['Name', 'Place', 'Note']);
    again.unmount();
  });
  it('asks for more, and the first new line takes the focus of the button', async () => {
    const links = {
      slots: { 'cell-name': '<template #cell-name="{ row }"><a href="#" :id="row.id">{{ row.name }}</a></template>' },
    };
    const wrapper = mount(ListTable, {
      ...links,
      props: { name: 'things', caption: 'Things', columns: columns.slice(0, 1), rows: rowsOf(2), keyOf: ({ id }: Row) => id, order: { sort: 'name', direction: 'asc' }, more: true, busy: false } as never, // prettier-ignore
      attachTo: document.body,
    });
    expect(wrapper.find('table').attributes('aria-rowcount')).toBe('-1');
    await press(wrapper as never, 'Show more');
    expect(wrapper.emitted('more')).toHaveLength(1);
    await wrapper.setProps({ rows: rowsOf(4), more: false } as never);
    await nextTick();
    await nextTick();
    expect(document.activeElement?.id).toBe('r2');
    expect(wrapper.findAll('button').map((each) => each.text())).not.toContain('Show more');
    wrapper.unmount();
  });
  it('draws of a long list only what is in view, with the room of the rest', async () => {
    const wrapper = show(rowsOf(3000));
    await nextTick();
    const drawn = wrapper.findAll('tr[data-line]');
    expect(drawn.length).toBeLessThan(100);
    const spare = wrapper.findAll('tbody tr[aria-hidden="true"] td').map((each) => parseInt(each.attributes('style')?.match(/\d+/)?.[0] ?? '0', 10)); // prettier-ignore
    expect(spare.reduce((sum, each) => sum + each, 0) + drawn.length * 53).toBe(3000 * 53);
    expect(wrapper.find('table').attributes('aria-rowcount')).toBe('3001');
    wrapper.unmount();
  });
});
