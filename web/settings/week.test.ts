import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { dayReply, field, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import { useShop } from '../stores/shop.ts';
import PeopleRows from './PeopleRows.vue';
import WeekForm from './WeekForm.vue';

beforeEach(() => freshShop());
const away = {
  id: 'a',
  personId: 'tomas',
  from: '2026-05-14',
  to: '2026-05-15',
  part: 'morning' as const,
  why: 'course',
};
async function show(mayEdit = true, replies: object = {}) {
  const asked = serve({
    'GET /api/day': () => dayReply({}, { absences: [away], pause: { from: 720, to: 760 } }),
    ...replies,
  });
  const wrapper = mount(WeekForm, { props: { mayEdit }, global: { stubs } });
  await flushPromises();
  return { wrapper, asked };
}
const said = (asked: { path: string; body: unknown; method: string }[], path: string) =>
  asked.filter((each) => each.path.startsWith(path) && each.method !== 'GET').map(({ body }) => body);

describe('bays, pause and absences', () => {
  it('are shown as they are, and kept as they were typed', async () => {
    const { wrapper, asked } = await show(true, { 'PUT /api/day/figures': { bays: 4, pause: null } });
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Vehicles that stand')).element.value).toBe('3');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'When nobody works')).element.value).toBe('12:00–12:40');
    await wrapper.find(field(wrapper, 'Vehicles that stand')).setValue('4');
    await wrapper.find(field(wrapper, 'When nobody works')).setValue('noon');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected hours such as 8:00–17:00. Leave it empty for none.');
    await wrapper.find(field(wrapper, 'When nobody works')).setValue('');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(said(asked, '/api/day/figures')).toEqual([{ by: 'tomas', figures: { bays: 4, pause: null } }]);
    expect(read(wrapper)).toContain('Kept.');
  });
  it('say beside the field what is wrong', async () => {
    const wrong = refusal(400, 'x', { 'figures.bays': 'Expected 1 to 50 vehicles inside.' });
    const { wrapper } = await show(true, { 'PUT /api/day/figures': wrong });
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('Expected 1 to 50 vehicles inside.');
  });
  it('take in who is away, a day where no other was said, and take it out again', async () => {
    const { wrapper, asked } = await show(true, {
      'PUT /api/absences': dayReply({}),
      'DELETE /api/absences/a': dayReply({}),
    });
    expect(read(wrapper.find('[aria-label="Absences"]'))).toMatch(/Tomas Virk: mornings, .*14 May.* to .*15 May/);
    await wrapper.findAll('form')[1]!.trigger('submit');
    expect(read(wrapper)).toContain('Who is away?');
    await press(wrapper, 'Isla Renn');
    await wrapper.find('input[type="date"]').setValue('2026-05-20');
    await wrapper.findAll('form')[1]!.trigger('submit');
    await flushPromises();
    expect(said(asked, '/api/absences')).toMatchObject([
      { absence: { personId: 'isla', from: '2026-05-20', to: '2026-05-20', part: 'day', why: '' } },
    ]);
  });
  it('offer those who do not answer for the shop only themselves', async () => {
    const { wrapper } = await show(false);
    expect(read(wrapper)).not.toContain('Everybody: the shop is shut');
    expect(read(wrapper)).not.toContain('Isla Renn');
    expect(wrapper.findAll('button').some((each) => each.text().startsWith('Take out'))).toBe(true);
  });
});

describe('a person in the plan', () => {
  it('does what their role does until somebody says otherwise, and is here by their own hours', async () => {
    const asked = serve({ 'PUT /api/people/tomas': { people: useShop().people } });
    const wrapper = mount(PeopleRows, { props: { mayEdit: true }, global: { stubs } });
    await press(wrapper, 'Change');
    const checks = () => wrapper.findAll<HTMLInputElement>('input[type="checkbox"]');
    expect(checks().map(({ element }) => element.checked)).toEqual([true, true, true, true, true]);
    await checks()[0]!.trigger('change');
    await wrapper.find(field(wrapper, 'Their own hours')).setValue('8–12\nnine');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Tuesday: Expected hours');
    await wrapper.find(field(wrapper, 'Their own hours')).setValue('8–12');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked[0]?.body).toMatchObject({
      person: {
        does: ['strip', 'bench', 'prove', 'sign-off'],
        hours: [{ from: 480, to: 720 }, null, null, null, null, null, null],
      },
    });
  });
});
