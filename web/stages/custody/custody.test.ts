import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { open } from '../../../core/job/testing/samples.ts';
import { field, freshShop, pick, read, serve, showJob, stubs } from '../../testing.ts';
import IdentityLine from '../IdentityLine.vue';
import CustodySheet from './CustodySheet.vue';

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
});
const SheetDialog = { props: ['title'], template: '<div><slot /></div>' };
function sheet(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const wrapper = mount(CustodySheet, {
    props: { job: shown.job() },
    global: { stubs: { ...stubs, SheetDialog } },
  });
  return { ...shown, wrapper };
}

describe('who has a job', () => {
  it('is given to a colleague with a note that waits at its head', async () => {
    const { wrapper, job } = sheet();
    await wrapper
      .findAll('[role=radio]')
      .find((each) => each.text() === 'Isla Renn')!
      .trigger('click');
    await wrapper.find(field(wrapper, 'A note that waits for them')).setValue('the lower hose leaks');
    await wrapper.findAll('form')[0]!.trigger('submit');
    expect(job().assigned).toMatchObject({ to: 'isla', name: 'Isla Renn', note: 'the lower hose leaks' });
    expect(wrapper.emitted('close')).toHaveLength(1);
    const head = mount(IdentityLine, { props: { job: job() }, global: { stubs } });
    expect(read(head)).toContain('Tomas gave it to Isla Renn: the lower hose leaks');
  });
  it('rests with why, and is taken up again', async () => {
    const { wrapper, job } = sheet();
    await wrapper.findAll('form')[1]!.trigger('submit');
    expect(read(wrapper)).toContain('Why does it rest?');
    await wrapper.find(field(wrapper, 'Put it aside, because')).setValue('seal on order');
    await wrapper.findAll('form')[1]!.trigger('submit');
    expect(job().aside).toMatchObject({ until: null, why: 'seal on order' });
    freshShop();
    const again = sheet({ type: 'put-aside', data: { until: null, why: 'seal on order' } });
    expect(read(again.wrapper)).toContain('Put aside by Tomas: seal on order.');
    await again.wrapper
      .findAll('button')
      .find((each) => each.text() === 'Take it up again')!
      .trigger('click');
    expect(again.job().aside).toBeNull();
  });
  it('is called off with why, and says so', async () => {
    const { wrapper, job } = sheet();
    await wrapper.find(field(wrapper, 'Cancel it, because')).setValue('sold');
    await wrapper.findAll('form')[3]!.trigger('submit');
    expect(job()).toMatchObject({ status: 'closed', cancelled: { why: 'sold' } });
    expect(read(mount(IdentityLine, { props: { job: job() }, global: { stubs } }))).toContain('cancelled');
    freshShop();
    const closed = sheet({ type: 'cancel-job', data: { why: 'sold' } });
    expect(read(closed.wrapper)).toContain('Cancelled by Tomas Virk');
    await closed.wrapper.find(field(closed.wrapper, 'Open it again, because')).setValue('not sold');
    await closed.wrapper.find('form').trigger('submit');
    expect(closed.job().status).toBe('open');
  });
  it('is put on the right vehicle, which only the server knows', async () => {
    const asked = serve({
      'GET /api/vehicles': {
        rows: [{ id: 'van', plate: 'CW 7', make: 'Calder', model: 'Wick', nickname: '' }],
        next: null,
      },
    });
    const { wrapper } = sheet();
    await pick(wrapper, 'It is on the wrong vehicle', 'cw', 'CW 7');
    await wrapper.find(field(wrapper, 'Why was it on this one?')).setValue('two of a kind');
    await wrapper.findAll('form')[2]!.trigger('submit');
    await flushPromises();
    // The queue of the tests before may be sent besides.
    const sent = asked.find(({ body }) => (body as { type?: string } | null)?.type === 'move-job');
    expect(sent).toMatchObject({
      path: '/api/jobs/j/commands',
      body: { type: 'move-job', data: { vehicleId: 'van', why: 'two of a kind' } },
    });
    // The server did not take it: it says so, and what was typed stays.
    expect(read(wrapper)).toContain('nothing at /api/jobs/j/commands');
    expect(wrapper.emitted('close')).toBeUndefined();
  });
});
