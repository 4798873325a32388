import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, type EffectScope } from 'vue';
import type { Change } from '../../contract/index.ts';
import { FakeStream } from '../testing.ts';
import { useChanges } from './changes.ts';

let scopes: EffectScope[] = [];
/** A listener in a scope of its own. */
function listen(): (Change | null)[] {
  const heard: (Change | null)[] = [];
  const scope = effectScope();
  scope.run(() => useChanges((change) => heard.push(change)));
  scopes.push(scope);
  return heard;
}

describe('what changes in the shop', () => {
  beforeEach(() => {
    FakeStream.all.length = 0;
    vi.stubGlobal('EventSource', FakeStream);
  });
  afterEach(() => {
    for (const scope of scopes) scope.stop();
    scopes = [];
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });
  it('comes over one connection, however many listen', () => {
    const [one, other] = [listen(), listen()];
    expect(FakeStream.all.map(({ url }) => url)).toEqual(['/api/changes']);
    FakeStream.say({ kind: 'rows', list: 'stock' });
    expect([one, other]).toEqual([[{ kind: 'rows', list: 'stock' }], [{ kind: 'rows', list: 'stock' }]]);
  });
  it('is asked for anew after a break', () => {
    const heard = listen();
    FakeStream.all[0]?.onopen?.();
    expect(heard).toEqual([null]);
  });
  it('is let go when nobody looks or nobody listens, and taken up again', () => {
    listen();
    const hidden = vi.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
    document.dispatchEvent(new Event('visibilitychange'));
    expect(FakeStream.all[0]?.closed).toBe(true);
    hidden.mockReturnValue('visible');
    document.dispatchEvent(new Event('visibilitychange'));
    expect(FakeStream.all).toHaveLength(2);
    for (const scope of scopes) scope.stop();
    expect(FakeStream.all[1]?.closed).toBe(true);
    document.dispatchEvent(new Event('visibilitychange'));
    expect(FakeStream.all).toHaveLength(2);
  });
});
