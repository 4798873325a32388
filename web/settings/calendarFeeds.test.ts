import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import CalendarFeeds from './CalendarFeeds.vue';

beforeEach(() => freshShop());
const feed = { id: 'f', personId: null, madeBy: 'isla', madeAt: '2026-05-13T08:00:00.000Z', readAt: null };
async function show(mayEdit: boolean, replies: object = {}) {
  const asked = serve({ 'GET /api/feeds': { rows: [feed] }, ...replies });
  const wrapper = mount(CalendarFeeds, { props: { mayEdit }, global: { stubs } });
  await flushPromises();
  return { wrapper, asked };
}

describe('calendars for other programs', () => {
  it('are made with an address that is shown once, and withdrawn', async () => {
    const own = { ...feed, id: 'g', personId: 'tomas' };
    const { wrapper, asked } = await show(true, {
      'POST /api/feeds': { feed: own, path: '/api/calendars/abc.ics' },
      'POST /api/feeds/f/withdraw': { rows: [own] },
    });
    await press(wrapper, 'A calendar of my day');
    await flushPromises();
    expect(asked.at(-1)?.body).toEqual({ by: 'tomas', personId: 'tomas' });
    expect(read(wrapper)).toMatch(/this once: ?http.*\/api\/calendars\/abc\.ics/);
    expect(wrapper.findAll('[aria-label="Calendars"] li').map((each) => read(each).split(' never')[0])).toEqual([
      'The day of Tomas Virk',
      'The shop: promises, waits, what is due',
    ]);
    const rows = wrapper.findAll('[aria-label="Calendars"] li');
    await rows[1]!.find('button').trigger('click');
    await flushPromises();
    expect(wrapper.findAll('[aria-label="Calendars"] li')).toHaveLength(1);
    expect(read(wrapper)).not.toContain('this once');
  });
  it('of the shop are for those who answer for it; what is wrong is said', async () => {
    const { wrapper } = await show(false, { 'POST /api/feeds': refusal(403, 'Not yours.') });
    expect(read(wrapper)).not.toContain('A calendar of the shop');
    expect(wrapper.findAll('[aria-label="Calendars"] button')).toHaveLength(0);
    await press(wrapper, 'A calendar of my day');
    await flushPromises();
    expect(wrapper.find('[role="alert"]').text()).toBe('Not yours.');
  });
});
