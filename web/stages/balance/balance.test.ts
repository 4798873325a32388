import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { afloat, openBank } from '../../../core/job/testing/world.ts';
import { jobUnits } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';
import { field, freshShop, read, serve, showJob, stubs } from '../../testing.ts';
import TrimPanel from '../trim/TrimPanel.vue';
import BalancePanel from './BalancePanel.vue';

const global = { stubs: { ...stubs, PutRight: true } };
beforeEach(() => {
  freshShop();
  serve({});
});

describe('the balance of a bank', () => {
  it('reads all bodies in one unit, draws them and says which screw first', async () => {
    const shown = showJob([openBank]);
    const store = useJob();
    store.confirmed = { ...shown.job(), vehicle: { ...shown.job().vehicle, use: 'motorcycle' } };
    const wrapper = mount(BalancePanel, { props: { job: shown.job(), when: 'after' }, global });
    await wrapper
      .findAll('[role=radio]')
      .find((each) => each.text() === 'mmHg')!
      .trigger('click');
    await wrapper.find(field(wrapper, 'cylinder 1')).setValue('225');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).not.toContain('spread');
    await wrapper.find(field(wrapper, 'cylinder 2')).setValue('262');
    await wrapper.find('form').trigger('submit');
    await wrapper.setProps({ job: shown.job() });
    expect(read(wrapper)).toContain('spread 37 mmHg, uneven');
    expect(read(wrapper)).toContain('First the screw of cylinder 2: open it a little, then read all again.');
    expect(wrapper.find('[role=img]').attributes('aria-label')).toBe('after: cylinder 1 225, cylinder 2 262 mmHg');
  });
  it('is not asked of a single body, nor of two on one plenum', () => {
    const { job } = showJob([openBank]);
    const road = { ...job(), vehicle: { ...job().vehicle, use: 'road' as const } };
    expect(mount(BalancePanel, { props: { job: road, when: 'after' }, global }).text()).toBe('');
  });
});

describe('a trim trial', () => {
  it('asks for water where it lacks, then keeps each step with what came of it', async () => {
    const shown = showJob([afloat]);
    const unit = { ...jobUnits(shown.job(), null)[0]!, form: 'plastic' as const };
    const wrapper = mount(TrimPanel, { props: { job: shown.job(), unit }, global });
    await wrapper.find(field(wrapper, 'Turns, out +')).setValue('½');
    await wrapper.find(field(wrapper, 'Idle, rpm')).setValue('1250');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('never runs without cooling water');
    await wrapper.find(field(wrapper, 'How it gets its water')).setValue('muffs and hose');
    await wrapper.findAll('form').at(-1)!.trigger('submit');
    await wrapper.setProps({ job: shown.job() });
    await wrapper.find('form').trigger('submit');
    await wrapper.setProps({ job: shown.job() });
    expect(read(wrapper)).toContain('in its window');
    expect(read(wrapper)).toContain('It stands ½ turn out: a stop-gap.');
  });
});
