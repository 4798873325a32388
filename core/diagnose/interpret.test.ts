import { describe, expect, it } from 'vitest';
import {
  contradictions,
  findingOfCode,
  findingsOfCodes,
  findingWords,
  interpret,
  type Sign,
  typedFields,
  understand,
} from './index.ts';
import { SHIPPED_KNOWLEDGE } from './knowledge/index.ts';

const sign = (id: string): Sign => SHIPPED_KNOWLEDGE.signs.find((each) => each.id === id)!;
const { signs } = SHIPPED_KNOWLEDGE;
const coil = () => sign('coil-ohms').method!.entry as Parameters<typeof typedFields>[0] & { kind: 'number' };
const FIGURES = { closedVolts: { low: 0.45, high: 0.55, source: 'book' } };

describe('interpret', () => {
  it.each([
    ['closed-volts', ['0,71'], 'high', '0.71 V: above 0.45 to 0.55 V'],
    ['closed-volts', ['0.45'], 'in-band', '0.45 V: within 0.45 to 0.55 V'],
    ['closed-volts', ['0,50'], 'in-band', '0.50 V: within 0.45 to 0.55 V'],
    ['closed-volts', ['512 mV'], 'in-band', '0.512 V: within 0.45 to 0.55 V'],
    ['closed-volts', ['0.2'], 'low', '0.2 V: below 0.45 to 0.55 V'],
    ['ground-drop', ['0.35'], 'high', '0.35 V: above 0 to 0.1 V'],
    ['two-tracks', ['0.74', '4.28'], 'agree', 'Track A 0.74 V, track B 4.28 V: agree'],
    ['two-tracks', ['0.74', '3.6'], 'disagree', 'Track A 0.74 V, track B 3.6 V: add up to 4.34 V, not 5'],
    ['two-tracks', ['0.75', '4.5'], 'agree', 'Track A 0.75 V, track B 4.5 V: agree'],
    ['pedal-tracks', ['1.5', '0.75'], 'agree', 'Pedal D 1.5 V, pedal E 0.75 V: agree'],
    ['pedal-tracks', ['1.5', '1.2'], 'disagree', 'Pedal D 1.5 V, pedal E 1.2 V: the first is not twice the second'],
    ['cold-temperatures', ['12', '24'], 'differ', 'Coolant 12 °C, intake air 24 °C: 12 °C apart'],
    ['trims', ['18', '2'], 'lean-idle', 'At idle 18 %, at 2500 rpm 2 %: lean at idle only'],
    ['trims', ['14', '16'], 'lean-all', 'At idle 14 %, at 2500 rpm 16 %: lean all over'],
    ['trims', ['3', '16'], 'lean-all', 'At idle 3 %, at 2500 rpm 16 %: lean at speed'],
    ['trims', ['-12', '1'], 'rich', 'At idle −12 %, at 2500 rpm 1 %: rich'],
    ['trims', ['8', '-8'], 'normal', 'At idle 8 %, at 2500 rpm −8 %: within limits'],
  ])('%s %j is %s', (id, typed, outcome, words) => {
    expect(interpret(sign(id), typed, FIGURES)).toMatchObject({ ok: true, outcome, words });
  });
  it('brings a warm coil to 20 °C before it is judged', () => {
    const figures = { coilOhms: { low: 9, high: 11, source: 'book' } };
    // 13.1 Ω at 84 °C: 13.1 / (1 + 0.00393 × 64) = 10.47 Ω, by IEC 60028.
    expect(interpret(sign('coil-ohms'), ['13.1', '84'], figures)).toMatchObject({
      ok: true,
      outcome: 'in-band',
      words: '13.1 Ω at 84 °C, at 20 °C 10.467 Ω: within 9 to 11 Ω',
      values: [13.1, 84],
    });
    expect(interpret(sign('coil-ohms'), ['13.1', '20'], figures)).toMatchObject({ outcome: 'open' });
    expect(interpret(sign('coil-ohms'), ['10.4', '183 °F'], figures)).toMatchObject({ outcome: 'short' });
    expect(interpret(sign('coil-ohms'), ['0', '20'], figures)).toMatchObject({ outcome: 'short' });
    expect(interpret(sign('coil-ohms'), ['13.1'], figures)).toMatchObject({ ok: false, field: 1 });
    expect(typedFields({ ...coil(), figure: 'coilOhms' }).map(({ unit }) => unit)).toEqual(['Ω', '°C']);
    expect(typedFields({ ...coil(), figure: null }).map(({ unit }) => unit)).toEqual(['Ω']);
  });
  it('says whose band judged it', () => {
    expect(interpret(sign('closed-volts'), ['0.5'], FIGURES)).toMatchObject({ band: { source: 'book' } });
    expect(interpret(sign('closed-volts'), ['0.5'], {})).toMatchObject({
      band: { low: 0.45, high: 0.9, source: null },
    });
  });
  it.each([
    ['closed-volts', ['-0.4'], 0, 'Expected 0 to 5.5 V, got −0.4.'],
    ['valve-duty', ['140'], 0, 'Expected 0 to 100 %, got 140.'],
    ['closed-volts', ['half'], 0, 'Expected a number, such as 0.52 V; got “half”.'],
    ['two-tracks', ['1', ''], 1, 'Track B: Nothing typed yet.'],
    ['leak-by-ear', ['1'], 0, 'answered by picking'],
  ])('refuses %s %j', (id, typed, field, words) => {
    const result = interpret(sign(id), typed, FIGURES);
    expect(result).toMatchObject({ ok: false, field });
    expect(result.ok || result.message).toContain(words);
  });
});

describe('understand', () => {
  const heard = (text: string) => understand(text, signs).heard.map(({ sign: id, outcome }) => `${id}=${outcome}`);
  it.each([
    ['Hunts at the quay, stalls when it comes to rest.', ['hunting=yes', 'stalls=yes']],
    ['It goes up and down by itself', ['hunting=yes']],
    ['idles much too high and the revs hang', ['idle-high=yes', 'hangs=yes']],
    ['It does not stall', ['stalls=no']],
    ['no hiss, but it hunts', ['hunting=yes', 'whistle=no']],
    ['rough since the battery went flat', ['rough=yes', 'battery=yes']],
    ['Trolls too fast and clicks with the key on', ['idle-high=yes', 'clicking=yes']],
    ['worse in the rain, comes and goes', ['comes-and-goes=yes', 'wet=yes']],
    ['never been cleaned', ['cleaned=no', 'mileage=yes']],
    ['a diesel with a nice paint', []],
  ])('“%s”', (text, expected) => {
    expect(heard(text).sort()).toEqual([...expected].sort());
  });
  it('keeps the words it was heard in, and what was not understood', () => {
    const { heard: found, left } = understand('Hunting again; the radio crackles.', signs);
    expect(found).toEqual([{ sign: 'hunting', outcome: 'yes', phrase: 'hunting' }]);
    expect(left).toEqual(['the radio crackles']);
  });
});

describe('codes and contradictions', () => {
  it.each([
    ['P0505', { sign: 'idle-code', outcome: 'cannot' }],
    ['P0123', { sign: 'position-code', outcome: 'circuit' }],
    ['P0303', { sign: 'misfire-code', outcome: 'one' }],
    ['P0121-62', { sign: 'position-code', outcome: 'correlation' }],
    ['P0121-13', { sign: 'position-code', outcome: 'circuit' }],
    ['C1234', { sign: 'other-system-code', outcome: 'yes' }],
    ['P1234', null],
  ])('%s', (code, finding) => {
    expect(findingOfCode(signs, code)).toEqual(finding);
  });
  it('silence speaks only once codes were read to the end', () => {
    expect(findingsOfCodes(signs, ['P0505'], false)).toHaveLength(1);
    const all = findingsOfCodes(signs, ['P0505'], true);
    expect(all).toContainEqual({ sign: 'misfire-code', outcome: 'none' });
    expect(all.filter(({ sign: id }) => id === 'idle-code')).toHaveLength(1);
  });
  it('notices what cannot both be', () => {
    const both = contradictions(SHIPPED_KNOWLEDGE, [
      { sign: 'idle-high', outcome: 'yes' },
      { sign: 'idle-low', outcome: 'yes' },
    ]);
    expect(both).toHaveLength(1);
    expect(findingWords(signs, both[0]!.a)).toBe('idle too high');
    expect(findingWords(signs, { sign: 'moon', outcome: 'full' })).toBe('moon: full');
  });
});
