import { describe, expect, it } from 'vitest';
import { anotherName, nameParts, singular } from './index.ts';

describe('a name of the trade', () => {
  it('says what it is, and what tells it from others', () => {
    expect(nameParts('Coil plug, left bank, upper')).toEqual({ what: 'Coil plug', apart: 'left bank, upper' });
    expect(nameParts('Duct')).toEqual({ what: 'Duct', apart: '' });
  });
  it('of several is said of one, and another one is counted on', () => {
    expect(singular('Body bolts')).toBe('Body bolt');
    expect(anotherName('Hose clamp', ['Hose clamp'])).toBe('Hose clamp 2');
    expect(anotherName('Hose clamp 2', ['hose clamp', 'HOSE CLAMP 2', 'Hose clamp 3'])).toBe('Hose clamp 4');
  });
});
