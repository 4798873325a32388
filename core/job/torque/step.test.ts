import { describe, expect, it } from 'vitest';
import { adapterWords, type CommandBody, decide, itemOf, torqueStep } from '../index.ts';
import { play } from '../testing/play.ts';
import { off, open, pin, pinRich, SAMPLE_CONTEXT } from '../testing/samples.ts';

const { wrenches } = SAMPLE_CONTEXT;
const screws = () => itemOf(play([open, pinRich, off('screws')]).job!, 'screws')!;

describe('the torque step', () => {
  it('names the bolt in its order, and the setting on the wrench’s own scale', () => {
    expect(torqueStep(screws(), wrenches, '')).toMatchObject({
      number: 1,
      of: 4,
      pass: 1,
      passes: 2,
      entry: '5 N·m',
      label: 'upper left',
      angleDeg: null,
    });
    expect(torqueStep(itemOf(play([open, pin]).job!, 'cover')!, wrenches, '')).toBeNull();
    expect(torqueStep(screws(), [], '')).toMatchObject({ chosen: null, entry: '5 Nm + 45°' });
  });
  it('sets the wrench lower with an adapter straight on, and records what the bolt got', () => {
    const adapter = { lengthMm: 50, leverMm: 250, angleDeg: 0 };
    // 5 N·m × 250 / 300 = 4.17, on a scale of halves 4; the bolt then gets 4 × 300 / 250.
    expect(torqueStep(screws(), wrenches, '', adapter)?.entry).toBe('4 N·m');
    const data = { itemId: 'screws', boltId: '1', pass: 1, method: 'wrench', wrenchId: 'w' } as const;
    const tighten = (torqueText: string, on: object): CommandBody =>
      ({ type: 'tighten-bolt', data: { ...data, torqueText, adapter: on } }) as CommandBody;
    const { job } = play([open, pinRich, off('screws'), tighten('4.0 Nm', adapter)]);
    expect(itemOf(job!, 'screws')?.bolts[0]).toMatchObject({
      torque: { value: 4.8, unit: 'N·m' },
      nm: expect.closeTo(4.8, 9) as number,
      adapter,
      reading: { value: 4, unit: 'N·m', text: '4.0 Nm' },
    });
    const backwards = { ...adapter, lengthMm: 300, angleDeg: 180 };
    expect(decide(job, tighten('4 Nm', backwards), SAMPLE_CONTEXT)).toMatchObject({ ok: false, field: 'adapter' });
    expect(adapterWords(adapter)).toBe('50 mm adapter at 0° on a 250 mm lever');
  });
});
