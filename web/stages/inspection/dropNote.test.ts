import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { jobUnits } from '../../../core/job/index.ts';
import { open, SAMPLE_FAMILY, SAMPLES } from '../../../core/job/testing/samples.ts';
import { field, freshShop, press, read, showJob, stubs } from '../../testing.ts';
import DropNote from './DropNote.vue';

beforeEach(freshShop);

describe('a unit that was dropped', () => {
  const show = (...more: Parameters<typeof showJob>[0]) => {
    const { job, sent } = showJob([open, ...more]);
    const unit = jobUnits(job(), SAMPLE_FAMILY).find(({ id }) => id === 'throttle-body')!;
    const wrapper = mount(DropNote, { props: { job: job(), unit }, global: { stubs } });
    return { wrapper, sent, job };
  };
  it('is noted with height and place; nobody needs to know how high', async () => {
    const { wrapper, sent } = show();
    await press(wrapper, 'It was dropped');
    await wrapper.find(field(wrapper, 'Onto what')).setValue('concrete');
    await wrapper.find('form').trigger('submit');
    expect(sent).toMatchObject([
      { type: 'drop-unit', data: { unit: 'throttle-body', heightText: '', note: 'concrete' } },
    ]);
  });
  it('keeps what was typed where the height cannot be read', async () => {
    const { wrapper, sent } = show();
    await press(wrapper, 'It was dropped');
    const height = wrapper.find<HTMLInputElement>(field(wrapper, 'From how high'));
    await height.setValue('9 Nm');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    expect(height.attributes('aria-invalid')).toBe('true');
    expect(height.element.value).toBe('9 Nm');
  });
  it('stays open until somebody has looked at it', () => {
    const dropped = { type: 'drop-unit', data: SAMPLES['drop-unit'].data } as const;
    expect(read(show(dropped).wrapper)).toContain('Dropped from 80 cm, onto concrete');
    expect(read(show(dropped).wrapper)).toContain('Not looked at since');
    const looked = { type: 'record-finding', data: SAMPLES['record-finding'].data } as const;
    expect(read(show(dropped, looked).wrapper)).not.toContain('Not looked at since');
  });
});
