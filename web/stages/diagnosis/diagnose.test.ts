import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { AdapterReading } from '../../../contract/index.ts';
import { type Proposal, rank, causesFor, nextCheck, type Sign, signsFor } from '../../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { type CommandBody, diagnoseJob, type Job } from '../../../core/job/index.ts';
import { play } from '../../../core/job/testing/play.ts';
import { SAMPLE_FAMILY, SAMPLES } from '../../../core/job/testing/samples.ts';
import { useJob } from '../../stores/job.ts';
import { useKnowledge } from '../../stores/knowledge.ts';
import { useShop } from '../../stores/shop.ts';
import AdapterPanel from '../complaint/AdapterPanel.vue';
import ConversationPanel from '../complaint/ConversationPanel.vue';
import BeliefChart from './BeliefChart.vue';
import { beliefLine, EDGES, placeOf } from './beliefLine.ts';
import CheckPanel from './CheckPanel.vue';
import ExplainLine from './ExplainLine.vue';
import FindingsList from './FindingsList.vue';
import KnowledgeMissing from './KnowledgeMissing.vue';
import { shareWords } from './useDiagnosis.ts';
import VariantForm from './VariantForm.vue';

const SUBJECT = { group: 'cable', hasValve: true } as const;
const MODELS = causesFor(SHIPPED_KNOWLEDGE, SUBJECT);
const SIGNS = signsFor(SHIPPED_KNOWLEDGE, SUBJECT);
const sign = (id: string): Sign => SIGNS.find((each) => each.id === id)!;
/** Words in which nothing is understood: what a test weighs is what it says. */
const open: CommandBody = { type: 'open-job', data: { ...SAMPLES['open-job'].data, complaint: 'Not right.' } };
const global = { stubs: { RouterLink: RouterLinkStub, PictureAdd: true, teleport: true } };

/** A job on the screen, with what it is judged by; commands are kept rather than sent. */
function show(...bodies: CommandBody[]): { job: Job; sent: { type: string; data: unknown }[] } {
  const store = useJob();
  const { job } = play([open, ...bodies]);
  store.id = 'j';
  store.confirmed = { ...job!, vehicle: { ...job!.vehicle, familyId: SAMPLE_FAMILY.id } };
  const known = useKnowledge();
  known.versions = new Map([[1, SHIPPED_KNOWLEDGE]]);
  known.families = new Map([[SAMPLE_FAMILY.id, SAMPLE_FAMILY]]);
  const sent: { type: string; data: unknown }[] = [];
  const real = store.send;
  vi.spyOn(store, 'send').mockImplementation((type, data) => {
    const refusal = real(type, data);
    if (refusal === null) sent.push({ type, data });
    return refusal;
  });
  return { job: store.confirmed, sent };
}

beforeEach(() => {
  setActivePinia(createPinia());
  vi.stubGlobal('fetch', async () => new Promise(() => undefined));
  useShop().personId = 'tomas';
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

describe('the line of a cause', () => {
  const findings = ['hunting', 'stalls', 'idle-low', 'rough'].map((id) => ({ sign: id, outcome: 'yes' }));
  it('runs from the prior to where the cause stands, bar by bar', () => {
    for (const cause of rank(MODELS, findings).causes) {
      const line = beliefLine(cause);
      let at = line.start;
      for (const bar of line.bars) {
        expect(Math.min(Math.abs(bar.x - at), Math.abs(bar.x + bar.width - at))).toBeLessThan(1e-6);
        at = bar.bits > 0 ? bar.x + bar.width : bar.x;
      }
      // What is smaller than anyone could see is not drawn.
      expect(Math.abs(at - line.end)).toBeLessThan(0.4);
      expect(line.bars.length).toBeLessThanOrEqual(6);
    }
  });
  it('never leaves its edges', () => {
    expect([placeOf(-50), placeOf(EDGES.low), placeOf(50)]).toEqual([0, 0, 100]);
    expect(
      [shareWords(0.001), shareWords(0.42), shareWords(0.999)].map((text) => text.replaceAll('\u00a0', ' ')),
    ).toEqual(['< 1 %', '42 %', '> 99 %']);
  });
  it('is a button that opens its reasons', async () => {
    const chart = mount(BeliefChart, {
      props: {
        causes: rank(MODELS, findings).causes.slice(0, 3),
        name: (id: string) => `Cause ${id}`,
        says: ({ sign: id }: { sign: string }) => id,
        ordinary: () => false,
        chosen: null,
      },
      slots: { detail: '<p>because</p>' },
    });
    const [first] = chart.findAll('button');
    expect(first?.text()).toMatch(/^Cause /);
    expect(first?.attributes('aria-expanded')).toBe('false');
    await first?.trigger('click');
    const [chosen] = chart.emitted('update:chosen') ?? [];
    await chart.setProps({ chosen: chosen?.[0] as string });
    expect(chart.text()).toContain('because');
  });
});

describe('a check', () => {
  const proposalFor = (id: string): Proposal =>
    nextCheck(MODELS, [], SIGNS, { minutePrice: 97 }).find((each) => each.sign.id === id)!;
  it('shows how, what is normal, and what each answer would do', async () => {
    const { sent } = show();
    const panel = mount(CheckPanel, {
      props: {
        sign: sign('leak-by-ear'),
        proposal: proposalFor('leak-by-ear'),
        when: 'before',
        name: (id: string) => id,
        leaders: ['deposit', 'intake-leak'],
      },
      global,
    });
    expect(panel.text()).toContain('tells deposit from intake-leak');
    expect(panel.findAll('ol > li')).toHaveLength(3);
    const changed = panel.findAll('button').find((button) => button.text().includes('Speed changed'))!;
    expect(changed.text()).toMatch(/intake-leak \d+/);
    await changed.trigger('click');
    expect(sent).toMatchObject([
      { type: 'record-check', data: { check: 'leak-by-ear', outcome: 'changed', typed: [], when: 'before' } },
    ]);
    expect(panel.emitted('done')).toHaveLength(1);
  });
  it('interprets what is typed before it is recorded, by the family’s band', async () => {
    const { sent } = show();
    const panel = mount(CheckPanel, {
      props: {
        sign: sign('closed-volts'),
        proposal: proposalFor('closed-volts'),
        when: 'before',
        name: (id: string) => id,
      },
      global,
    });
    expect(panel.text()).toContain('0.45 to 0.55 V, sample');
    await panel.find('input').setValue('-1');
    expect(panel.find('[role="alert"]').text()).toContain('Expected 0 to 5.5 V, got −1');
    await panel.find('input').setValue('0,71');
    expect(panel.find('[role="status"]').text()).toContain('Above the band');
    await panel.find('form').trigger('submit');
    expect(sent).toMatchObject([{ data: { check: 'closed-volts', typed: ['0,71'], outcome: '' } }]);
  });
  it('says when a forerunner is missing, and lets a check be left out', async () => {
    const { sent } = show();
    const panel = mount(CheckPanel, {
      props: { sign: sign('light-gap'), proposal: null, when: 'before', name: (id: string) => id },
      global,
    });
    await panel
      .findAll('button')
      .find((button) => button.text().includes('Thin and even'))!
      .trigger('click');
    expect(panel.find('[role="alert"]').text()).toContain('comes after “Duct off, look at the plate”');
    await panel
      .findAll('button')
      .find((button) => button.text() === 'Could not do it')!
      .trigger('click');
    await panel.find('input').setValue('no lamp');
    await panel.find('form').trigger('submit');
    expect(sent).toMatchObject([{ type: 'pass-over-check', data: { check: 'light-gap', why: 'no lamp' } }]);
  });
});

describe('the conversation', () => {
  it('says what it understood, what it did not, and asks one question', async () => {
    const { sent } = show({ type: 'tell-complaint', data: { id: 't', text: 'Hunts when cold; the radio crackles.' } });
    const talk = mount(ConversationPanel, { global });
    expect(talk.text()).toContain('idle hunts');
    expect(talk.text().replace(/\s+/g, ' ')).toContain('Kept, not weighed: “the radio crackles”');
    const question = talk.find('[data-question]');
    expect(question.find('h3').text()).toMatch(/\?$/);
    await question.findAll('button').at(-1)!.trigger('click');
    expect(talk.find('[data-question] h3').text()).not.toBe(question.text());
    await talk.find('[data-question] button').trigger('click');
    await talk
      .findAll('button')
      .find((button) => button.text().includes('strike'))!
      .trigger('click');
    expect(sent.map(({ type }) => type)).toEqual(['answer-question', 'strike-sign']);
  });
  it('keeps words of which nothing is understood, and says so', async () => {
    const { sent } = show();
    const talk = mount(ConversationPanel, { global });
    await talk.find('form').trigger('submit');
    expect(talk.find('[role="alert"]').text()).toContain('in your own words');
    await talk.find('textarea').setValue('it is just odd');
    await talk.find('form').trigger('submit');
    expect(sent).toMatchObject([{ type: 'tell-complaint', data: { text: 'it is just odd' } }]);
    expect(talk.find('textarea').element.value).toBe('');
    expect(talk.text()).toContain('Nothing that can be weighed was understood');
  });
  it('lets symptoms be picked and struck from a list', async () => {
    const { sent } = show();
    const talk = mount(ConversationPanel, { global });
    const tap = () =>
      talk
        .findAll('button')
        .find((button) => button.text() === 'Limp mode')!
        .trigger('click');
    await tap();
    await talk
      .findAll('button')
      .find((button) => button.text() === 'Pick from the list instead')!
      .trigger('click');
    expect(
      talk
        .findAll('button')
        .find((button) => button.text() === 'Limp mode')!
        .attributes('aria-pressed'),
    ).toBe('true');
    await tap();
    expect(sent.map(({ type }) => type)).toEqual(['answer-question', 'strike-sign']);
  });
});

describe('what is said aloud', () => {
  const line = (...bodies: CommandBody[]): string => {
    const { job } = show(...bodies);
    return mount(ExplainLine, {
      props: {
        diagnosis: diagnoseJob(job, SHIPPED_KNOWLEDGE, SAMPLE_FAMILY),
        name: (id: string) => id,
        says: ({ sign: id }: { sign: string }) => id,
        check: (id: string) => id,
      },
      global,
    }).text();
  };
  const answer = (id: string, outcome = 'yes'): CommandBody => ({
    type: 'answer-question',
    data: { id, sign: id, outcome },
  });
  it('nothing found yet', () => {
    expect(line()).toContain('Nothing found yet');
  });
  it('one cause, with how much was weighed', () => {
    expect(
      line(
        {
          type: 'record-check',
          data: { id: 'k', check: 'leak-by-ear', outcome: 'changed', typed: [], when: 'before' },
        },
        answer('whistle'),
        answer('hunting'),
      ),
    ).toMatch(/^Likely intake-leak; 3 findings weighed/);
  });
  it('two that stand out, and whether both together explain more', () => {
    expect(line(answer('clicking'), answer('smoke'), answer('whistle'), answer('overheated'))).toMatch(
      /Two causes stand out; 4 findings weighed.*Two together explain it better: .* likelier than/,
    );
  });
  it('nothing here explains it, and where else to look', () => {
    const clean = { 'duct-off-look': 'clean', 'light-gap': 'even', 'leak-by-ear': 'none', 'smoke-test': 'none' };
    const looked = Object.entries(clean).map(([check, outcome]): CommandBody => ({
      type: 'record-check',
      data: { id: check, check, outcome, typed: [], when: 'before' },
    }));
    const said = line(...looked);
    expect(said).toMatch(/^Nothing here explains this; 4 findings weighed/);
    expect(said).toContain('Look outside the throttle');
  });
  it('contradictions and unknown codes', () => {
    const said = line(answer('idle-high'), answer('idle-low'), {
      type: 'read-code',
      data: { id: 'c', code: 'P1999', status: 'stored', when: 'before', note: '' },
    });
    expect(said).toContain('Only one of these can be: idle-high, or idle-low');
    expect(said).toContain('P1999');
  });
  it('findings, struck out or checked again', async () => {
    const { job, sent } = show(
      answer('hunting'),
      { type: 'record-check', data: { id: 'k', check: 'leak-by-ear', outcome: 'none', typed: [], when: 'before' } },
      { type: 'do-check', data: { id: 'o', name: 'Exhaust', result: 'free', verdict: 'normal' } },
    );
    const list = mount(FindingsList, {
      props: { job, diagnosis: diagnoseJob(job, SHIPPED_KNOWLEDGE, SAMPLE_FAMILY), signs: SIGNS },
      global,
    });
    expect(list.text()).toContain('not weighed');
    const press = (words: string) =>
      list
        .findAll('button')
        .find((button) => button.text().startsWith(words))!
        .trigger('click');
    await press('Strike out');
    await press('Check again');
    expect(sent).toMatchObject([{ type: 'strike-sign' }]);
    expect(list.emitted('again')).toEqual([['leak-by-ear']]);
  });
});

describe('knowledge that is not here', () => {
  it('is said, and the job can be judged by the newest instead', async () => {
    const { sent } = show();
    const known = useKnowledge();
    known.versions = new Map();
    vi.stubGlobal('fetch', async (url: string) =>
      url.endsWith('/newest')
        ? new Response(JSON.stringify({ ...SHIPPED_KNOWLEDGE, version: 3 }))
        : new Response(
            JSON.stringify({
              error: { code: 'no-such-knowledge', message: 'There is no knowledge 1.', fields: {}, wouldHelp: '' },
            }),
            { status: 404 },
          ),
    );
    await known.need(1);
    const note = mount(KnowledgeMissing);
    expect(note.text()).toContain('There is no knowledge 1.');
    await note.find('button').trigger('click');
    await flushPromises();
    expect(sent).toEqual([{ type: 'choose-knowledge', data: { version: 3 } }]);
  });
  it('is not spoken of while all is well', () => {
    show();
    expect(mount(KnowledgeMissing).text()).toBe('');
  });
});

describe('the variant', () => {
  it('is judged while it is typed', async () => {
    const { sent } = show();
    const form = mount(VariantForm, { global });
    const field = (label: string) =>
      form.find(
        `#${form
          .findAll('label')
          .find((each) => each.text() === label)!
          .attributes('for')}`,
      );
    await field('Port diameter, mm').setValue('wide');
    expect(form.find('[role="alert"]').text()).toContain('Expected a number, such as 10 mm');
    await field('Port diameter, mm').setValue('44');
    await field('Connector pins').setValue('5');
    expect(form.find('[role="status"]').text()).toMatch(/^Does not fit: connector pins 5 pins, expected 3 pins/);
    await form.find('form').trigger('submit');
    expect(sent).toMatchObject([
      { type: 'compare-variant', data: { kind: 'throttle-body', found: { portMm: 44, pins: 5 } } },
    ]);
  });
});

describe('the adapter', () => {
  const reading: AdapterReading = {
    vin: 'XCW14EB24LT001180',
    stored: ['P0505'],
    pending: ['P0171'],
    codesRead: true,
    frame: { code: 'P0505', values: [{ pid: 12, name: 'Engine speed', value: 610, unit: 'rpm' }] },
    values: [{ pid: 5, name: 'Coolant temperature', value: 88, unit: '°C' }],
    problems: ['Module voltage: The answer is empty.'],
    gone: true,
  };
  const links = { rows: [{ id: 'sim.a', name: 'Simulated: a', vehicleId: 'v', vin: '' }], next: null };
  it('puts what was read on the job once, and says what could not be read', async () => {
    const { job, sent } = show({
      type: 'read-code',
      data: { id: 'c', code: 'P0171', status: 'pending', when: 'before', note: '' },
    });
    vi.stubGlobal(
      'fetch',
      async (url: string) => new Response(JSON.stringify(url.endsWith('/read') ? reading : links)),
    );
    const panel = mount(AdapterPanel, {
      props: { job: { ...job, vehicle: { ...job.vehicle, vin: 'OTHER' } }, when: 'before' },
      global,
    });
    await flushPromises();
    const press = async (words: string) => {
      await panel
        .findAll('button')
        .find((button) => button.text().startsWith(words))!
        .trigger('click');
      await flushPromises();
    };
    await press('Read codes');
    for (const words of ['plugged into another vehicle', 'went away while reading', '88 °C', 'The answer is empty'])
      expect(panel.text()).toContain(words);
    await press('Keep it on this job all the same');
    expect(sent.map(({ type }) => type)).toEqual(['read-code', 'read-codes-out', 'read-frame', 'read-values']);
  });
  it('says after the work how far it was driven since the codes were cleared, and reads anew each time', async () => {
    const { job, sent } = show(
      { type: 'read-code', data: { id: 'c', code: 'P0505', status: 'stored', when: 'after', note: '' } },
      { type: 'read-codes-out', data: { when: 'after' } },
    );
    const driven = { pid: 0x31, name: 'Driven since codes were cleared', value: 12, unit: 'km' };
    vi.stubGlobal(
      'fetch',
      async (url: string) =>
        new Response(JSON.stringify(url.endsWith('/read') ? { ...reading, frame: null, values: [driven] } : links)),
    );
    const panel = mount(AdapterPanel, { props: { job, when: 'after' }, global });
    await flushPromises();
    for (const words of ['Read codes', 'Keep it']) {
      await panel
        .findAll('button')
        .find((button) => button.text().startsWith(words))!
        .trigger('click');
      await flushPromises();
    }
    expect(sent).toMatchObject([
      { type: 'read-code', data: { code: 'P0171', when: 'after' } },
      { type: 'read-codes-out', data: { when: 'after', driven: { value: 12, unit: 'km' } } },
      { type: 'read-values' },
    ]);
  });
  it('says in words when it does not answer, and asks before it clears', async () => {
    const { job } = show();
    vi.stubGlobal('fetch', async (url: string) =>
      url.endsWith('/adapter')
        ? new Response(JSON.stringify(links))
        : new Response(
            JSON.stringify({
              error: { code: 'adapter-gone', message: 'Nothing answers on port 4217.', fields: {}, wouldHelp: '' },
            }),
            { status: 502 },
          ),
    );
    const panel = mount(AdapterPanel, { props: { job, when: 'before' }, global });
    await flushPromises();
    const press = async (words: string) => {
      await panel
        .findAll('button')
        .find((button) => button.text().startsWith(words))!
        .trigger('click');
      await flushPromises();
    };
    await press('Clear the codes');
    expect(panel.text().replace(/\s+/g, ' ')).toContain('What is stored is kept on this job first');
    await press('Clear them');
    expect(panel.find('[role="alert"]').text()).toBe('Nothing answers on port 4217.');
  });
});
