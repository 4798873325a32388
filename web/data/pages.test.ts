import { flushPromises } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, ref } from 'vue';
import { FakeStream, freshShop, refusal, serve } from '../testing.ts';
import { addressOf, allPages, usePages } from './pages.ts';

let scope = effectScope();
const list = <T>(query: () => Record<string, string | undefined>, follows: readonly string[] = ['stock']) =>
  scope.run(() => usePages<T>('/stock', query, follows))!;
const lines = (from: number, to: number) => Array.from({ length: to - from }, (_, index) => from + index);
/** A list of so many lines, which answers as the server does. */
function serveLines(count: () => number): string[] {
  const asked: string[] = [];
  vi.stubGlobal('fetch', async (path: string) => {
    asked.push(path);
    const query = new URL(path, 'http://here').searchParams;
    const from = Number(query.get('after') ?? 0);
    const to = Math.min(count(), from + Number(query.get('limit') ?? 50));
    return new Response(JSON.stringify({ rows: lines(from, to), next: to < count() ? String(to) : null }));
  });
  return asked;
}
beforeEach(() => {
  freshShop();
  scope = effectScope();
  FakeStream.all.length = 0;
  vi.stubGlobal('EventSource', FakeStream);
});
afterEach(() => {
  scope.stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('a list, a page at a time', () => {
  it('is asked by what is said, and by nothing else', () => {
    expect(addressOf('/stock', {})).toBe('/stock');
    expect(addressOf('/stock', { q: 'a b', kind: ['seal', 'gasket'], after: undefined })).toBe(
      '/stock?q=a+b&kind=seal&kind=gasket',
    );
  });
  it('comes whole, page after page, where all of it is needed', async () => {
    const asked = serveLines(() => 450);
    expect(await allPages('/stock')).toEqual(lines(0, 450));
    expect(asked).toHaveLength(3);
  });
  it('grows by a page, and begins anew when something else is asked', async () => {
    const asked = serveLines(() => 120);
    const q = ref('a');
    const { rows, next, more } = list(() => ({ q: q.value }));
    await flushPromises();
    expect([rows.value.length, next.value]).toEqual([50, '50']);
    await more();
    await more();
    await more();
    expect([rows.value, next.value]).toEqual([lines(0, 120), null]);
    expect(asked).toHaveLength(3);
    q.value = 'b';
    await flushPromises();
    expect(rows.value).toHaveLength(50);
    expect(asked.at(-1)).toBe('/api/stock?q=b');
  });
  it('follows its own changes with as many lines as are shown, however many', async () => {
    let count = 470;
    const asked = serveLines(() => count);
    const { rows, more } = list(() => ({}));
    await flushPromises();
    while (rows.value.length < 470) await more();
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const before = asked.length;
    FakeStream.say({ kind: 'rows', list: 'units' });
    FakeStream.say({ kind: 'job', id: 'j', version: 3 });
    vi.advanceTimersByTime(500);
    expect(asked).toHaveLength(before);
    // One vanished meanwhile: several changes in one breath are followed once.
    count = 469;
    for (let change = 0; change < 5; change += 1) FakeStream.say({ kind: 'rows', list: 'stock' });
    vi.advanceTimersByTime(500);
    vi.useRealTimers();
    await vi.waitFor(() => expect(rows.value).toHaveLength(469));
    expect(asked).toHaveLength(before + 3);
  });
  it('says why it cannot be read, keeps what is shown, and drops an older answer that arrives late', async () => {
    serve({ 'GET /api/stock?q=a': { rows: [1], next: null }, 'GET /api/stock?q=b': refusal(500, 'The disk is full.') });
    const q = ref('a');
    const { rows, failed } = list(() => ({ q: q.value }));
    await flushPromises();
    q.value = 'b';
    await flushPromises();
    expect([rows.value, failed.value]).toEqual([[1], 'The disk is full.']);
    const answers: ((rows: number[]) => void)[] = [];
    vi.stubGlobal(
      'fetch',
      () =>
        new Promise((resolve) => {
          answers.push((come) => resolve(new Response(JSON.stringify({ rows: come, next: null }))));
        }),
    );
    q.value = 'c';
    await flushPromises();
    q.value = 'd';
    await flushPromises();
    answers[1]?.([4]);
    await flushPromises();
    answers[0]?.([3]);
    await flushPromises();
    expect([rows.value, failed.value]).toEqual([[4], '']);
  });
});
