import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import { type CommandBody, diagnoseJob } from '../../core/job/index.ts';
import { open, SAMPLE_FAMILY, SAMPLES } from '../../core/job/testing/samples.ts';
import { nextTick } from 'vue';
import { useKnowledge } from '../stores/knowledge.ts';
import { useShop } from '../stores/shop.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../testing.ts';
import AttemptsBlock from './complaint/AttemptsBlock.vue';
import ExplainLine from './diagnosis/ExplainLine.vue';
import ForeignPanel from './diagnosis/ForeignPanel.vue';
import OpenPoints from './handover/OpenPoints.vue';

/** What was tried, what lies at the plate, what speaks against what, and what stays open: each counts or is said. */
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const show = (component: Parameters<typeof mount>[0], ...bodies: CommandBody[]) => {
  const shown = showJob(bodies);
  const wrapper = mount(component as never, { props: { job: shown.job() } as never, global: { stubs } });
  return { ...shown, wrapper, renew: () => wrapper.setProps({ job: shown.job() } as never) };
};
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
});

describe('what was tried before', () => {
  it('is noted with how it went and how long ago, and struck out', async () => {
    const { wrapper, sent, renew } = show(AttemptsBlock, open);
    await press(wrapper, 'Note what was tried');
    await wrapper.find('select').setValue('replace');
    await wrapper.find(field(wrapper, 'How long ago')).setValue('a while');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'How long ago')).element.value).toBe('a while');
    await wrapper.find(field(wrapper, 'How long ago')).setValue('20');
    await wrapper.find(field(wrapper, 'Since then')).setValue('400 km');
    await wrapper.find(field(wrapper, 'In their words')).setValue('new valve, no change');
    await wrapper.find('form').trigger('submit');
    expect(sent).toMatchObject([
      {
        type: 'tell-attempt',
        data: { option: 'replace', helped: false, ago: { km: 400, h: null, days: 20 }, words: 'new valve, no change' },
      },
    ]);
    await renew();
    expect(read(wrapper)).toMatch(/Replace, new unit.*did not help.*20 days ago, 400 km since, “new valve, no change”/);
    await press(wrapper, 'Strike out');
    await renew();
    expect(read(wrapper)).not.toContain('new valve, no change');
  });
});

describe('what lies at the plate', () => {
  it('holds the engine until all of it is out; what is missing is said', async () => {
    const { wrapper, sent, renew } = show(ForeignPanel, open, of('describe-foreign'));
    expect(read(wrapper)).toContain('Acorn, under the plate');
    expect(read(wrapper)).toContain('The engine is held until all of it is out');
    await press(wrapper, 'Part of it is out');
    expect(wrapper.find('[role="alert"]').exists()).toBe(true);
    expect(sent).toEqual([]);
    await wrapper.find(field(wrapper, 'If not all of it')).setValue('the cap, in the manifold');
    await press(wrapper, 'Part of it is out');
    await renew();
    expect(read(wrapper)).toContain('The engine is held');
    await press(wrapper, 'All of it is out');
    await renew();
    expect(read(wrapper)).toContain('All of it is out.');
    expect(sent.map(({ type }) => type)).toEqual(['recover-foreign', 'recover-foreign']);
  });
  it('only a lead says that the rest is accounted for', async () => {
    const { wrapper } = show(ForeignPanel, open, of('describe-foreign'));
    expect(read(wrapper)).not.toContain('The rest is accounted for');
    useShop().personId = 'isla';
    await nextTick();
    expect(read(wrapper)).toContain('The rest is accounted for');
  });
});

describe('two findings of which one can be', () => {
  it('one is made to stand, the other is weighed no more', async () => {
    useKnowledge().versions = new Map([[1, SHIPPED_KNOWLEDGE]]);
    const answer = (sign: string): CommandBody => ({
      type: 'answer-question',
      data: { id: sign, sign, outcome: 'yes' },
    });
    const { job, sent } = showJob([open, answer('idle-high'), answer('idle-low')]);
    const view = mount(ExplainLine, {
      props: {
        diagnosis: diagnoseJob(job(), SHIPPED_KNOWLEDGE, SAMPLE_FAMILY),
        name: (id: string) => id,
        says: ({ sign }: { sign: string }) => sign,
        check: (id: string) => id,
      },
      global: { stubs },
    });
    await press(view, 'Stands: idle-low');
    expect(sent).toMatchObject([
      { type: 'let-stand', data: { stands: { sign: 'idle-low' }, falls: { sign: 'idle-high' } } },
    ]);
    await view.setProps({ diagnosis: diagnoseJob(job(), SHIPPED_KNOWLEDGE, SAMPLE_FAMILY) });
    expect(view.text()).not.toContain('Only one of these can be');
  });
});

describe('what is still bad after the work', () => {
  it('goes with a reason, something to watch and a day to look again', async () => {
    const { wrapper, sent, renew } = show(OpenPoints, ...(SAMPLES['leave-open'].after as CommandBody[]));
    expect(read(wrapper)).toContain('still bad after the work');
    await press(wrapper, 'It goes like this');
    await wrapper.find('form').trigger('submit');
    expect(wrapper.findAll('[aria-invalid="true"]').length).toBeGreaterThan(0);
    await wrapper.find(field(wrapper, 'Because')).setValue('coke that would not come off');
    await wrapper.find(field(wrapper, 'What to watch')).setValue('idle that drops');
    await wrapper.find(field(wrapper, 'Look again in')).setValue('soon');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    await wrapper.find(field(wrapper, 'Look again in')).setValue('60');
    await wrapper.find('form').trigger('submit');
    expect(sent).toMatchObject([{ type: 'leave-open', data: { code: 'still-bad', days: 60, use: null } }]);
    await renew();
    expect(read(wrapper)).toContain('coke that would not come off; watch idle that drops; again in 60 days');
  });
});
