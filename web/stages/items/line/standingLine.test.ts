import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../../core/job/index.ts';
import { open, pin } from '../../../../core/job/testing/samples.ts';
import { freshShop, press, read, showJob, stubs } from '../../../testing.ts';
import StandingLine from './StandingLine.vue';

beforeEach(() => {
  freshShop();
  localStorage.clear();
  vi.restoreAllMocks();
});

function line(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const wrapper = mount(StandingLine, { props: { job: shown.job() }, global: { stubs } });
  const type = (text: string) => wrapper.find('#standing-line').setValue(text);
  const enter = async () => {
    await wrapper.find('form').trigger('submit');
    await wrapper.setProps({ job: shown.job() });
  };
  const chip = (label: string) => wrapper.findAll('.chip').find((each) => each.find('label').text() === label)!;
  return { ...shown, wrapper, type, enter, chip };
}

describe('the standing line', () => {
  it('reads a sentence into chips, bright what was said, dashed what is wanted, and takes it off by Enter', async () => {
    const { wrapper, type, enter, chip, job } = line();
    await type('flange bolts 4 M6x25, 10 mm');
    expect(chip('how many').classes()).toContain('said');
    expect(chip('lies').classes()).toContain('proposed');
    expect(chip('torque · holds the engine').classes()).toContain('wanted');
    expect(chip('thread').find('input').element.value).toBe('M6×25');
    await enter();
    expect(job().items.at(-1)).toMatchObject({
      name: 'Flange bolts',
      state: 'off',
      pocket: 'A1',
      tool: '10 mm',
      countedOut: 4,
      fasteners: { count: 4, thread: 'M6×25', joint: 'flange', spec: null },
    });
    expect(wrapper.find<HTMLInputElement>('#standing-line').element.value).toBe('');
  });
  it('takes what is put right in a chip', async () => {
    const { type, enter, chip, job } = line();
    await type('bracket 2 bolts M8');
    await chip('how many').find('input').setValue('3');
    await chip('kind').find('select').setValue('cover');
    await chip('lies').find('input').setValue('rack 1');
    await enter();
    expect(job().items.at(-1)).toMatchObject({ kind: 'cover', countedOut: 3, pocket: 'rack 1' });
  });
  it('takes several, each to a pocket of its own, or only the first', async () => {
    const { wrapper, type, enter, job } = line();
    await type('cover; bracket; duct');
    expect(read(wrapper)).toContain('read as 3 items');
    const lies = wrapper.findAll('label').filter((label) => label.text() === 'lies');
    expect(lies.map((label) => wrapper.find(`[id="${label.attributes('for')}"]`).element)).toMatchObject([
      { value: 'A1' },
      { value: 'A2' },
      { value: 'A3' },
    ]);
    await press(wrapper, 'Only the first');
    await wrapper.setProps({ job: job() });
    expect(job().items.map(({ name }) => name)).toEqual(['Cover']);
    expect(wrapper.find<HTMLInputElement>('#standing-line').element.value).toBe('bracket; duct');
    await enter();
    expect(job().items.map(({ name, pocket }) => [name, pocket])).toEqual([
      ['Cover', 'A1'],
      ['Bracket', 'A2'],
      ['Duct', 'A3'],
    ]);
  });
  it('asks what plugs an opening, and counts it', async () => {
    const { wrapper, type, enter, job } = line();
    await type('throttle body');
    expect(read(wrapper)).toContain('opens manifold inlet');
    await press(wrapper, 'Clean cloth');
    await enter();
    expect(job().openings).toMatchObject([{ name: 'Manifold inlet', state: 'plugged' }]);
    expect(job().items.find(({ origin }) => origin === 'plug')?.name).toBe('Clean cloth');
  });
  it('says what cannot be, keeps what was typed, and records nothing', async () => {
    const { wrapper, type, enter, sent } = line();
    await type('0 bolts');
    expect(wrapper.find('[role=alert]').exists()).toBe(false);
    await enter();
    expect(wrapper.find('[role=alert]').text()).toContain('expected 1 to 200');
    expect(wrapper.find<HTMLInputElement>('#standing-line').element.value).toBe('0 bolts');
    expect(sent).toEqual([]);
    await type('flange bolts');
    await enter();
    expect(wrapper.find('[role=alert]').text()).toContain('How many?');
    await type('4 bolts M7.3x10');
    await enter();
    expect(wrapper.find('[role=alert]').text()).toContain('no thread M7.3');
  });
  it('takes off what is listed by a few letters, and says so when it is off already', async () => {
    const { wrapper, type, enter, job, sent } = line(pin);
    await type('sample cov');
    expect(wrapper.find('[data-testid=take-off-typed]').text()).toContain('Take off sample cover');
    await enter();
    expect(sent[0]).toMatchObject({ type: 'remove-item', data: { itemId: 'cover' } });
    await type('Sample cover');
    await enter();
    expect(wrapper.find('[role=alert]').text()).toContain('Sample cover is off already');
    expect(job().items.filter(({ name }) => name.startsWith('Sample cover'))).toHaveLength(1);
  });
  it('keeps the sentence over leaving and reload', async () => {
    const first = line();
    await first.type('flange bolts 4 M6');
    first.wrapper.unmount();
    expect(line().wrapper.find<HTMLInputElement>('#standing-line').element.value).toBe('flange bolts 4 M6');
  });
});
