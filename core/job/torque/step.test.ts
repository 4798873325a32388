import { describe, expect, it } from 'vitest';
import { adapterWords, boltTorqueText, itemOf, torqueStep } from '../index.ts';
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
    expect(boltTorqueText('4 N·m', adapter)).toBe('4.8 N·m');
    expect(boltTorqueText('4 N·m', null)).toBe('4 N·m');
    expect(boltTorqueText('tight', adapter)).toBe('tight');
    expect(adapterWords(adapter)).toBe('50 mm adapter at 0° on a 250 mm lever');
  });
});
