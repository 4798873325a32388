import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { SAMPLE_VEHICLE } from '../../core/job/testing/samples.ts';
import { useShop } from '../stores/shop.ts';
import PersonPicker from '../shell/PersonPicker.vue';
import SearchSheet from '../shell/SearchSheet.vue';
import { field, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import NewJobView from './NewJobView.vue';

const { push } = vi.hoisted(() => ({ push: vi.fn() }));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => ({ params: { id: 'v' }, query: {} }),
}));
const vehicle = { ...SAMPLE_VEHICLE, lastReading: { value: 900, unit: 'km' } };
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
});

describe('a new job', () => {
  const form = async (answer: (path: string) => unknown) => {
    const posted: { path: string; body: Record<string, unknown> }[] = [];
    serve({ 'GET /api/vehicles/v': { vehicle, jobs: [], family: null } });
    const { fetch } = globalThis;
    vi.stubGlobal('fetch', async (path: string, init?: { method?: string; body?: string }) => {
      if (init?.method !== 'POST') return fetch(path, init as RequestInit);
      posted.push({ path, body: JSON.parse(init.body ?? '{}') as Record<string, unknown> });
      const reply = answer(path);
      return reply instanceof Response ? reply : new Response(JSON.stringify(reply), { status: 201 });
    });
    const wrapper = mount(NewJobView, { global: { stubs } });
    await flushPromises();
    const send = async () => {
      await wrapper.find('form').trigger('submit');
      await flushPromises();
    };
    return { wrapper, posted, send };
  };
  it('is opened with the reading as entered, and leads to its sheet', async () => {
    const { wrapper, posted, send } = await form(() => ({}));
    expect(read(wrapper)).toContain('900 km at the last job');
    await wrapper.find(field(wrapper, 'What does the owner say?')).setValue('Stalls at the quay.');
    await wrapper.find(field(wrapper, 'Odometer')).setValue('far');
    await send();
    expect(posted).toEqual([]);
    await wrapper.find(field(wrapper, 'Odometer')).setValue('1 204');
    await send();
    expect(posted[0]?.body).toMatchObject({
      type: 'open-job',
      by: 'tomas',
      data: { vehicleId: 'v', complaint: 'Stalls at the quay.', reading: { value: 1204, unit: 'km' } },
    });
    const jobId = posted[0]?.path.split('/')[3];
    expect(push).toHaveBeenCalledWith(`/jobs/${jobId}`);
  });
  it('brings back what was typed and not sent, until the job is open or one starts afresh', async () => {
    const first = await form(() => refusal(503, 'Another program holds the store.'));
    await first.wrapper.find(field(first.wrapper, 'What does the owner say?')).setValue('Stalls at the quay.');
    await first.wrapper.find(field(first.wrapper, 'Odometer')).setValue('1204');
    await first.send();
    first.wrapper.unmount();
    const again = await form(() => ({}));
    const said = () =>
      again.wrapper.find<HTMLTextAreaElement>(field(again.wrapper, 'What does the owner say?')).element.value;
    expect(said()).toBe('Stalls at the quay.');
    expect(read(again.wrapper)).toContain('did not keep is back');
    await again.send();
    expect(again.posted).toHaveLength(1);
    again.wrapper.unmount();
    const fresh = await form(() => ({}));
    expect(read(fresh.wrapper)).not.toContain('is back');
    await fresh.wrapper.find(field(fresh.wrapper, 'What does the owner say?')).setValue('x');
    fresh.wrapper.unmount();
    const last = await form(() => ({}));
    await press(last.wrapper, 'Start afresh');
    expect(localStorage.getItem('unhurried-wrench.draft.job.v')).toBeNull();
  });
  it('asks why when the reading ran backwards, and is the same job when sent again', async () => {
    const said = 'That is less than the last reading, 900 km.';
    const { wrapper, posted, send } = await form(() =>
      posted.length < 2 ? refusal(400, said, { 'data.reading': said }) : {},
    );
    await wrapper.find(field(wrapper, 'Odometer')).setValue('12');
    await send();
    expect(read(wrapper)).toContain(said);
    await wrapper.find(field(wrapper, 'Why is it less than before?')).setValue('cluster replaced');
    await send();
    expect(posted[1]?.body).toMatchObject({ data: { readingReason: 'cluster replaced' } });
    expect(posted[1]?.path).toBe(posted[0]?.path);
    expect(posted[1]?.body.id).toBe(posted[0]?.body.id);
    expect(push).toHaveBeenCalledTimes(1);
  });
});

describe('searching anything', () => {
  const line = (ref: string, title: string, more: object = {}) => ({
    ref,
    title,
    about: '',
    status: null,
    parts: [],
    ...more,
  });
  it('shows what fits by kind, marked, and goes there', async () => {
    const asked = serve({
      'GET /api/search?q=toffee&limit=6': {
        groups: [
          {
            kind: 'job',
            rows: [
              line('j231', '231 · TQ 417 · library bus', {
                about: 'finding',
                status: 'closed',
                parts: [
                  { text: 'crust like ', hit: false },
                  { text: 'toffee', hit: true },
                ],
              }),
            ],
            more: true,
          },
          { kind: 'vehicle', rows: [line('bus', 'TQ 417 · Norrland Parcel')], more: false },
        ],
      },
      'GET /api/search?q=toffee&limit=200': {
        groups: [{ kind: 'job', rows: [line('j1', '1 · A'), line('j2', '2 · B')], more: false }],
      },
      'GET /api/search?q=nothing&limit=6': { groups: [] },
    });
    const wrapper = mount(SearchSheet, { attachTo: document.body, global: { stubs } });
    expect(read(wrapper)).toContain('old jobs too');
    await wrapper.find('input').setValue('toffee');
    await flushPromises();
    expect(wrapper.findAll('h3').map((each) => each.text())).toEqual(['Jobs', 'Vehicles']);
    expect(wrapper.findAll('mark').map((each) => each.text())).toEqual(['toffee']);
    expect(read(wrapper)).toContain('finding: crust like toffee');
    // Down from the field through both groups, and back up into it.
    const focused = () => (document.activeElement as HTMLElement).textContent ?? '';
    await wrapper.find('input').trigger('keydown.down');
    expect(focused()).toContain('library bus');
    await wrapper.findAll('[data-found]')[0]!.trigger('keydown.down');
    expect(focused()).toContain('Norrland Parcel');
    await wrapper.findAll('[data-found]')[1]!.trigger('keydown.down');
    expect(focused()).toContain('Norrland Parcel');
    await wrapper.findAll('[data-found]')[1]!.trigger('keydown.up');
    await wrapper.findAll('[data-found]')[0]!.trigger('keydown.up');
    expect(document.activeElement?.id).toBe('search-anything');
    await press(wrapper, 'More jobs fit');
    await flushPromises();
    expect(wrapper.findAll('li')).toHaveLength(2);
    await wrapper.find('input').setValue('nothing');
    await flushPromises();
    expect(read(wrapper)).toContain('Nothing fits “nothing”.');
    expect(asked.map(({ path }) => path).at(-1)).toBe('/api/search?q=nothing&limit=6');
    await wrapper.find('input').setValue('toffee');
    await flushPromises();
    await press(wrapper, 'TQ 417 · Norrland');
    expect(push).toHaveBeenCalledWith('/vehicles/bus');
    expect(wrapper.emitted('close')).toHaveLength(1);
    wrapper.unmount();
  });
  it('drops an older answer that arrives late, and says when there is none', async () => {
    const waiting: (() => void)[] = [];
    vi.stubGlobal(
      'fetch',
      (path: string) =>
        new Promise<Response>((resolve) => {
          const groups = path.includes('q=late&') ? [{ kind: 'vehicle', rows: [line('v', 'Late')], more: false }] : [];
          waiting.push(() => resolve(new Response(JSON.stringify({ groups }), { status: 200 })));
        }),
    );
    const wrapper = mount(SearchSheet, { global: { stubs } });
    await wrapper.find('input').setValue('late');
    await wrapper.find('input').setValue('later');
    for (const answer of waiting.splice(1)) answer();
    await flushPromises();
    for (const answer of waiting) answer();
    await flushPromises();
    expect(read(wrapper)).toContain('Nothing fits “later”.');
    vi.stubGlobal('fetch', () => Promise.reject(new Error('no network')));
    await wrapper.find('input').setValue('x');
    await flushPromises();
    expect(wrapper.find('[role="alert"]').text()).toContain('out of reach');
  });
});

describe('who is at the bench', () => {
  it('is picked by name and kept', async () => {
    const wrapper = mount(PersonPicker, { props: { required: true }, global: { stubs } });
    expect(wrapper.find('[aria-pressed="true"]').text()).toContain('Tomas Virk');
    await press(wrapper, 'Isla Renn');
    expect(useShop().personId).toBe('isla');
    expect(localStorage.getItem('unhurried-wrench.person')).toBe('isla');
    expect(wrapper.emitted('close')).toHaveLength(1);
  });
});
