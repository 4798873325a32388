import { describe, expect, it } from 'vitest';
import {
  baseCode,
  codesIn,
  DTC_MEANINGS,
  dtcToBytes,
  FAILURE_TYPES,
  failureTypeOf,
  parseDtc,
} from '../vehicle/index.ts';
import { findingOfCode, findingsOfCodes, whyNoSign } from './index.ts';
import { SHIPPED_KNOWLEDGE } from './knowledge/index.ts';

const { signs } = SHIPPED_KNOWLEDGE;
const between = (letter: string, from: number, to: number): string[] =>
  Array.from({ length: to - from + 1 }, (_, index) => `${letter}${String(from + index).padStart(4, '0')}`);
/** Generic ranges of throttle, pedal, idle, air meter, sensor supply, control module and trim. */
const RANGES: readonly string[] = [
  ...between('P', 68, 69),
  ...between('P', 100, 109),
  ...between('P', 110, 119),
  ...between('P', 120, 124),
  ...between('P', 220, 229),
  ...between('P', 130, 136),
  ...between('P', 150, 156),
  ...between('P', 170, 179),
  ...between('P', 2187, 2196),
  ...between('P', 300, 312),
  ...between('P', 401, 409),
  ...between('P', 440, 449),
  ...between('P', 480, 485),
  ...between('P', 500, 512),
  ...between('P', 560, 563),
  ...between('P', 600, 607),
  ...['A', 'B', 'C', 'D', 'E', 'F'].map((last) => `P061${last}`),
  ...between('P', 638, 639),
  ...between('P', 641, 653),
  ...between('P', 685, 690),
  ...between('P', 2004, 2015),
  ...between('P', 2100, 2119),
  ...between('P', 2120, 2140),
  ...between('P', 2172, 2178),
  ...between('P', 2227, 2229),
  'U0001',
  'U0073',
  ...between('U', 100, 109),
  'U0121',
  'U0155',
];

describe('every generic code of the groups', () => {
  it.each(RANGES)('%s has words, and a sign or a reason for none', (code) => {
    expect(DTC_MEANINGS.get(code), 'words').toBeDefined();
    const finding = findingOfCode(signs, code);
    if (finding === null) expect(whyNoSign(code)?.length, 'a reason').toBeGreaterThan(15);
    else {
      expect(signs.find(({ id }) => id === finding.sign)?.outcomes.map(({ id }) => id)).toContain(finding.outcome);
      expect(whyNoSign(code)).toBeNull();
    }
  });
  it('says something of at least one cause, group by group', () => {
    for (const { id, kind } of signs.filter((sign) => sign.kind === 'code')) {
      const spoken = SHIPPED_KNOWLEDGE.causes.some(({ shows }) => shows.some(({ sign }) => sign === id));
      expect(spoken || ['mixture-sensor-code'].includes(id), `${kind} ${id}`).toBe(true);
    }
  });
  it('tells circuit, range, correlation, learning and stuck apart', () => {
    const said = (code: string) => Object.values(findingOfCode(signs, code) ?? {}).join(' ');
    expect(said('P0122')).toBe('position-code circuit');
    expect(said('P0121')).toBe('position-code performance');
    expect(said('P2135')).toBe('position-code correlation');
    expect(said('P2176')).toBe('learn-code yes');
    expect(said('P2111')).toBe('stuck-code yes');
  });
});

describe('a code in any notation', () => {
  it.each([
    ['P0121-62', 'P0121-62'],
    ['p012162', 'P0121-62'],
    ['P 0121 62', 'P0121-62'],
    ['P0121-00', 'P0121'],
    ['PO121', 'P0121'],
    ['17912', '17912'],
    ['0x2A9B', '2A9Bh'],
    ['2a9bh', '2A9Bh'],
    ['2A9B', '2A9Bh'],
    ['U0100', 'U0100'],
  ])('%s is %s', (typed, code) => {
    const parsed = parseDtc(typed);
    expect(parsed.ok && parsed.dtc.code).toBe(code);
  });
  it.each(['P05', 'hello', 'P9999', '123', 'G0505', ''])(
    '“%s” is refused, and says what a code looks like',
    (typed) => {
      const parsed = parseDtc(typed);
      expect(parsed.ok).toBe(false);
      expect(parsed.ok || parsed.message).toMatch(/Expected a code such as P0505/);
    },
  );
  it('keeps how it failed, in words', () => {
    const parsed = parseDtc('P0121-62');
    expect(parsed.ok && [parsed.dtc.failureType, parsed.dtc.meaning]).toEqual([
      '62',
      'Throttle or pedal sensor A: reading outside what is plausible (two signals disagree)',
    ]);
    expect([baseCode('P0121-62'), failureTypeOf('P0121-62'), failureTypeOf('P0121')]).toEqual(['P0121', '62', null]);
    for (const type of FAILURE_TYPES.keys()) expect(type).toMatch(/^[0-9A-F]{2}$/);
  });
  it('travels in two bytes without its failure type; a maker’s number does not travel so', () => {
    expect(dtcToBytes('P0121-62')).toEqual([0x01, 0x21]);
    expect(() => dtcToBytes('17912')).toThrow(RangeError);
  });
  it('is found in running text, once', () => {
    expect(codesIn('Idles at 450, p0505 and P 0121-62; again P0505.')).toEqual(['P0505', 'P0121-62']);
    expect(codesIn('Cable at 1250 rpm, P.O. box 12')).toEqual([]);
  });
});

describe('a shop’s own codes', () => {
  const own = [
    { code: 'P1234', meaning: 'idle valve blocked', sign: 'valve-code', outcome: 'yes' },
    { code: '17912', meaning: 'a lamp', sign: null, outcome: null },
  ];
  it('speak as the shop says', () => {
    expect(findingOfCode(signs, 'P1234')).toBeNull();
    expect(findingOfCode(signs, 'P1234', own)).toEqual({ sign: 'valve-code', outcome: 'yes' });
    expect(findingOfCode(signs, '17912', own)).toBeNull();
    expect(findingsOfCodes(signs, ['P1234'], false, own)).toHaveLength(1);
  });
});
