import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { SessionReply } from '../../contract/index.ts';
import AccessView from '../access/AccessView.vue';
import { api } from '../data/api.ts';
import { signAs, signedAs } from '../data/signedAs.ts';
import CustomerView from '../outside/CustomerView.vue';
import PersonPicker from '../shell/PersonPicker.vue';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';
import { freshShop, press, read, serve, stubs } from '../testing.ts';
import PinPad from './PinPad.vue';
import SignIn from './SignIn.vue';

vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => ({ params: { token: 'a-token' }, query: {}, path: '/for/a-token' }),
}));

const NOBODY: SessionReply = {
  shopName: 'Tern Quay Garage',
  open: false,
  person: null,
  way: null,
  token: '',
  stretch: '',
  endsAt: null,
  jobId: null,
  station: null,
  hands: [],
};
const TOMAS: SessionReply = {
  ...NOBODY,
  person: { id: 'tomas', name: 'Tomas Virk', role: 'technician' },
  way: 'password',
  token: 't-1',
  stretch: 's-1',
};
const AT_STATION = {
  station: { id: 'st', name: 'tablet at bay 1' },
  hands: [
    { id: 'tomas', name: 'Tomas Virk' },
    { id: 'wen', name: 'Wen Okafor' },
  ],
};
const WEN: SessionReply = {
  ...TOMAS,
  ...AT_STATION,
  person: { id: 'wen', name: 'Wen Okafor', role: 'apprentice' },
  way: 'pin',
  token: 't-2',
  stretch: 's-2',
};
const refusal = (status: number, message: string, code: string): Response =>
  new Response(JSON.stringify({ error: { code, message, fields: {}, wouldHelp: '' } }), { status });
const SheetDialog = { template: '<div><slot /></div>' };
const global = { stubs: { ...stubs, SheetDialog } };

beforeEach(() => freshShop());
afterEach(() => signAs(null));

describe('who is signed in', () => {
  it('goes along with what changes something, and with nothing that is only read', async () => {
    serve({ 'GET /api/session': TOMAS });
    await useSession().load();
    const sent: (readonly [string, string | undefined])[] = [];
    vi.stubGlobal('fetch', async (path: string, { headers }: { headers: Record<string, string> }) => {
      sent.push([path, headers['x-wrench-token']]);
      return new Response('{}');
    });
    await api.get('/bay');
    await api.post('/air', {});
    expect(sent).toEqual([
      ['/api/bay', undefined],
      ['/api/air', 't-1'],
    ]);
    expect([useShop().personId, signedAs().stretch]).toEqual(['tomas', 's-1']);
  });

  it('is asked anew when the server knows nobody here, and something is wanted then', async () => {
    serve({ 'GET /api/session': TOMAS });
    const session = useSession();
    await session.load();
    serve({
      'GET /api/session': NOBODY,
      'GET /api/bay': () => refusal(401, 'Nobody is signed in here.', 'not-signed-in'),
    });
    await expect(api.get('/bay')).rejects.toThrow('Nobody is signed in');
    await vi.waitFor(() => expect([session.wanted, useShop().personId, signedAs().token]).toEqual([true, '', '']));
  });

  it('is known without the server, as it was told last', async () => {
    serve({ 'GET /api/session': TOMAS });
    await useSession().load();
    const kept = localStorage.getItem('unhurried-wrench.signed-in') ?? '';
    freshShop();
    localStorage.setItem('unhurried-wrench.signed-in', kept);
    vi.stubGlobal('fetch', () => Promise.reject(new Error('no network')));
    const session = useSession();
    await session.load();
    expect([session.known, session.wanted, signedAs().token]).toEqual([true, false, 't-1']);
  });
});

describe('what waits', () => {
  const command = {
    id: 'a',
    at: '2026-01-01T00:00:00.000Z',
    by: 'tomas',
    seen: 0,
    type: 'make-note',
    data: { id: 'a', stage: 'strip', text: 'x' },
  } as never;

  it('names the stretch of work it was made in, whoever is signed in when it goes', async () => {
    serve({ 'GET /api/session': TOMAS });
    const session = useSession();
    await session.load();
    vi.stubGlobal('fetch', () => Promise.reject(new Error('no network')));
    const outbox = useOutbox();
    outbox.add('j', command);
    await vi.waitFor(() => expect(outbox.outOfReach).toBe(true));
    const heads: Record<string, string>[] = [];
    vi.stubGlobal('fetch', async (_: string, { headers }: { headers: Record<string, string> }) => {
      heads.push(headers);
      return new Response(JSON.stringify({ jobId: 'j', version: 1, events: [], repeated: false }), { status: 201 });
    });
    signAs(WEN);
    outbox.flush();
    await vi.waitFor(() => expect(outbox.count).toBe(0));
    expect(heads.at(-1)).toMatchObject({ 'x-wrench-stretch': 's-1', 'x-wrench-token': 't-2' });
  });

  it.each([
    [401, 'not-signed-in'],
    [403, 'somebody-else'],
    [429, 'too-many'],
  ])('goes on waiting where the answer is %i %s', async (status, code) => {
    serve({ 'POST /api/jobs/j/commands': () => refusal(status, 'Not now.', code), 'GET /api/session': NOBODY });
    const outbox = useOutbox();
    outbox.add('j', command);
    await vi.waitFor(() => expect(outbox.trouble).toBe('Not now.'));
    expect([outbox.count, outbox.notTaken]).toEqual([1, []]);
    await outbox.drop(outbox.waiting[0]!);
  });
});

describe('coming in', () => {
  it('is by name and PIN at a station, and says beside the digits what is wrong', async () => {
    const asked = serve({
      'GET /api/session': { ...NOBODY, ...AT_STATION },
      'POST /api/session/hands': (body: unknown) =>
        (body as { pin: string }).pin === '1470' ? WEN : refusal(401, 'That is not the PIN.', 'not-let-in'),
    });
    const session = useSession();
    await session.load();
    const wrapper = mount(SignIn, { global, attachTo: document.body });
    expect(read(wrapper)).toContain('tablet at bay 1');
    await press(wrapper, 'Wen Okafor');
    const digits = async (pin: string): Promise<void> => {
      for (const digit of pin) await press(wrapper, digit);
      await wrapper.get('form').trigger('submit');
      await flushPromises();
    };
    await digits('9999');
    expect(wrapper.get('[role="alert"]').text()).toBe('That is not the PIN.');
    await digits('1470');
    expect([session.wanted, useShop().personId]).toEqual([false, 'wen']);
    expect(asked.filter(({ method }) => method === 'POST').map(({ body }) => body)).toEqual([
      { personId: 'wen', pin: '9999' },
      { personId: 'wen', pin: '1470' },
    ]);
    wrapper.unmount();
  });

  it('is by name and password elsewhere', async () => {
    const asked = serve({ 'GET /api/session': NOBODY, 'POST /api/session': TOMAS });
    await useSession().load();
    const wrapper = mount(SignIn, { global });
    const [name, password] = wrapper.findAll('input');
    await name!.setValue('Tomas');
    await password!.setValue('four words that do');
    await wrapper.get('form').trigger('submit');
    await flushPromises();
    expect(asked.at(-1)).toMatchObject({
      path: '/api/session',
      body: { name: 'Tomas', password: 'four words that do' },
    });
    expect(useShop().personId).toBe('tomas');
  });

  it('takes digits alone, at least four and at most eight, also from a keyboard', async () => {
    const wrapper = mount(PinPad, { props: { name: 'Wen', error: '' } });
    const field = wrapper.get('input');
    await field.setValue('12ab3');
    await wrapper.get('form').trigger('submit');
    expect(wrapper.emitted('pin')).toBeUndefined();
    await field.setValue('123456789012');
    await wrapper.get('form').trigger('submit');
    expect(wrapper.emitted('pin')).toEqual([['12345678']]);
  });
});

describe('the sheet of names', () => {
  it('picks a name where nobody has an account', async () => {
    const wrapper = mount(PersonPicker, { props: { required: false }, global });
    await press(wrapper, 'Isla Renn');
    expect(useShop().personId).toBe('isla');
  });
  it('offers the others of a station, and going', async () => {
    const asked = serve({ 'GET /api/session': WEN, 'DELETE /api/session': {} });
    await useSession().load();
    const wrapper = mount(PersonPicker, { props: { required: false }, global });
    expect(read(wrapper)).toContain('Tomas Virk');
    await press(wrapper, 'Sign out');
    await flushPromises();
    expect(asked.map(({ method, path }) => `${method} ${path}`)).toContain('DELETE /api/session');
    // Out of reach nobody goes, and it says so.
    vi.stubGlobal('fetch', () => Promise.reject(new Error('no network')));
    const again = mount(PersonPicker, { props: { required: false }, global });
    await press(again, 'Sign out');
    await flushPromises();
    expect(again.get('[role="alert"]').text()).toBe('The server is out of reach.');
    expect(again.emitted('close')).toBeUndefined();
  });
});

describe('who is let in', () => {
  it('is for those who answer for the shop; others see what is theirs', async () => {
    serve({ 'GET /api/session': TOMAS });
    await useSession().load();
    const wrapper = mount(AccessView, { global });
    await flushPromises();
    expect(read(wrapper)).toContain('signed in by password');
    expect(read(wrapper)).not.toContain('Who can sign in');
  });
  it('tells what happened, in words, and where the record was changed by other means', async () => {
    serve({
      'GET /api/session': { ...TOMAS, person: { id: 'isla', name: 'Isla Renn', role: 'lead' } },
      'GET /api/access-lines': {
        rows: [
          { seq: 3, at: '2026-05-13T08:00:00.000Z', by: 'isla', kind: 'password-set', subject: 'tomas', place: '' },
          { seq: 2, at: '2026-05-13T08:00:00.000Z', by: 'isla', kind: 'password-set', subject: 'isla', place: '' },
          { seq: 1, at: '2026-05-13T08:00:00.000Z', by: 'tomas', kind: 'not-let-in', subject: 'pin', place: '' },
        ],
        brokenAt: 2,
        accounts: [{ personId: 'tomas', hasPin: false, locked: true }],
      },
      'GET /api/stations': { rows: [] },
      'GET /api/network': { way: 'here', addresses: [], joining: [], fingerprint: '', until: null, said: [] },
    });
    await useSession().load();
    const wrapper = mount(AccessView, { global });
    await flushPromises();
    const text = read(wrapper);
    for (const words of [
      'Isla Renn set the password of Tomas Virk',
      'Isla Renn set their password',
      'Tomas Virk was not let in',
      'Line 2 of this record does not follow',
      'locked',
      'answers on its own machine alone',
    ])
      expect(text).toContain(words);
  });
});

describe('a customer’s link', () => {
  const told = {
    kind: 'estimate',
    shopName: 'Tern Quay Garage',
    currency: 'cr',
    endsAt: '2026-06-01T08:00:00.000Z',
    plate: 'TQ 417',
    title: 'Norrland Parcel',
    estimate: {
      id: 'e',
      open: true,
      highMinor: 30_000,
      title: '',
      subtitle: 'Job 230',
      finding: 'You told us: it hunts.',
      lines: [{ words: 'Cleaning', money: '120.00 cr' }],
      range: '200.00 cr to 300.00 cr',
      note: '',
      answer: 'Not answered yet.',
      terms: 'An estimate.',
    },
    page: null,
  };
  it('shows an estimate, sends one answer, and then what was answered', async () => {
    const asked = serve({
      'GET /api/for/a-token': told,
      'POST /api/for/a-token/answer': {
        ...told,
        estimate: { ...told.estimate, open: false, answer: 'Approved by Ferry library.' },
      },
    });
    const wrapper = mount(CustomerView, { global });
    await flushPromises();
    expect(read(wrapper)).toContain('200.00 cr to 300.00 cr');
    await press(wrapper, 'Yes, go ahead');
    await wrapper.get('input[inputmode="text"]').setValue('Ferry library');
    await wrapper.get('form').trigger('submit');
    await flushPromises();
    expect(asked.at(-1)?.body).toEqual({
      id: 'e',
      answer: 'approved',
      limitMinor: null,
      who: 'Ferry library',
      note: '',
    });
    expect(read(wrapper)).toContain('Approved by Ferry library.');
    expect(wrapper.find('form').exists()).toBe(false);
  });
  it('that is over says so, and nothing else', async () => {
    serve({ 'GET /api/for/a-token': () => refusal(410, 'This link leads nowhere any more.', 'link-over') });
    const wrapper = mount(CustomerView, { global });
    await flushPromises();
    expect(wrapper.get('[role="alert"]').text()).toContain('leads nowhere any more');
  });
});
