import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { open } from '../../core/job/testing/samples.ts';
import { freshShop, press, read, serve, showJob, stubs, summaryOf } from '../testing.ts';
import JobsView from './JobsView.vue';

const { route } = vi.hoisted(() => ({ route: { query: {} as Record<string, string> } }));
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRoute: () => route }));
beforeEach(() => {
  freshShop();
  route.query = {};
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  return () => vi.useRealTimers();
});
const view = async (replies: Record<string, unknown>) => {
  const asked = serve(replies);
  const wrapper = mount(JobsView, { global: { stubs } });
  await flushPromises();
  return { wrapper, asked };
};

describe('all jobs', () => {
  const line = () => ({ ...summaryOf(showJob([open]).job()), number: 412, lastBy: 'isla', lastWords: 'Body off' });
  it('are lines with where each stands, who did what last, and what is held', async () => {
    const { wrapper, asked } = await view({
      'GET /api/jobs': { rows: [{ ...line(), held: true }, { ...line(), id: 'old', number: 7, status: 'closed', held: false }], next: null }, // prettier-ignore
    });
    expect(asked[0]?.path).toBe('/api/jobs?sort=number&direction=desc&status=all');
    const [first, second] = wrapper.findAll('tbody tr').map(read);
    expect(first).toContain('412');
    expect(first).toContain('engine held');
    expect(first).toContain('Body off');
    expect(first).toContain('Isla');
    expect(second).toContain('handed over');
    expect(second).not.toContain('engine held');
  });
  it('are sought, and asked for open or handed over; what was asked is there again when one comes back', async () => {
    const { wrapper, asked } = await view({ 'GET /api/jobs': { rows: [line()], next: null } });
    await press(wrapper, 'Handed over');
    await flushPromises();
    expect(asked.at(-1)?.path).toContain('status=closed');
    await wrapper.get('input[type="search"]').setValue('tq 417');
    vi.advanceTimersByTime(300);
    await flushPromises();
    expect(asked.at(-1)?.path).toContain('q=tq+417');
    wrapper.unmount();
    const again = await view({ 'GET /api/jobs': { rows: [], next: null } });
    expect(again.wrapper.get<HTMLInputElement>('input[type="search"]').element.value).toBe('tq 417');
    expect(read(again.wrapper)).toContain('Nothing fits “tq 417”');
  });
  it('are of one vehicle when its page led here', async () => {
    route.query = { vehicle: 'bus', plate: 'TQ 417' };
    const { wrapper, asked } = await view({ 'GET /api/jobs': { rows: [line()], next: null } });
    expect(asked[0]?.path).toContain('vehicleId=bus');
    expect(read(wrapper)).toContain('of TQ 417');
  });
});
