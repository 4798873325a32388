import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  bytesOfLine,
  CONTINUE,
  dataOf,
  decodeCodes,
  decodeMaker,
  decodePid,
  decodeVin,
  encodeMaker,
  encodePid,
  encodeRequest,
  framesToFollow,
  isFirst,
  MAKER_PIDS,
  messageLength,
  MODES,
  ObdError,
  pidLength,
  PIDS,
  readable,
  reassemble,
  splitMessage,
  supportedPids,
  supportMap,
} from './index.ts';

describe('every PID by its published formula', () => {
  // Bytes, value worked by hand from SAE J1979, unit.
  const CASES: [number, number[], number, string][] = [
    [0x04, [0x80], (128 * 100) / 255, '%'],
    [0x05, [0x7b], 83, '°C'],
    [0x05, [0x00], -40, '°C'],
    [0x06, [0x80], 0, '%'],
    [0x07, [0x00], -100, '%'],
    [0x08, [0xff], 99.21875, '%'],
    [0x09, [0x90], 12.5, '%'],
    [0x0b, [0x22], 34, 'kPa'],
    [0x0c, [0x1a, 0xf8], 1726, 'rpm'],
    [0x0c, [0xff, 0xff], 16_383.75, 'rpm'],
    [0x0d, [0x32], 50, 'km/h'],
    [0x0f, [0x40], 24, '°C'],
    [0x10, [0x00, 0xd2], 2.1, 'g/s'],
    [0x11, [0x1f], (31 * 100) / 255, '%'],
    [0x1f, [0x02, 0x80], 640, 's'],
    [0x42, [0x37, 0x14], 14.1, 'V'],
    [0x45, [0x04], (4 * 100) / 255, '%'],
    [0x47, [0xff], 100, '%'],
    [0x49, [0x28], (40 * 100) / 255, '%'],
    [0x4a, [0x14], (20 * 100) / 255, '%'],
    [0x4c, [0x00], 0, '%'],
    [0x0e, [0x90], 8, '°'],
    [0x0e, [0x00], -64, '°'],
    [0x21, [0x01, 0x00], 256, 'km'],
    [0x30, [0x07], 7, ''],
    [0x31, [0x00, 0x0c], 12, 'km'],
    [0x33, [0x65], 101, 'kPa'],
    [0x43, [0x00, 0x4d], (77 * 100) / 255, '%'],
    [0x44, [0x80, 0x00], 1, ''],
    [0x46, [0x38], 16, '°C'],
    [0x48, [0x33], 20, '%'],
    [0x4b, [0x33], 20, '%'],
    [0x4e, [0x00, 0x78], 120, 'min'],
    [0x55, [0x88], 6.25, '%'],
    [0x56, [0x80], 0, '%'],
    [0x57, [0x78], -6.25, '%'],
    [0x58, [0xff], 99.21875, '%'],
    [0x5a, [0xff], 100, '%'],
  ];
  it.each(CASES)('%i %j is %f %s', (pid, bytes, value, unit) => {
    expect(decodePid(0x01, pid, bytes)).toMatchObject({ value: expect.closeTo(value, 9), unit });
  });
  it('leaves none out', () => {
    expect(new Set(CASES.map(([pid]) => pid))).toEqual(new Set(PIDS.keys()));
  });
  it('stays in its range, and comes back to within half a step', () => {
    for (const pid of PIDS.keys()) {
      fc.assert(
        fc.property(fc.array(fc.nat(255), { minLength: pidLength(pid), maxLength: pidLength(pid) }), (bytes) => {
          const { value, low, high } = decodePid(0x02, pid, bytes);
          expect(value).toBeGreaterThanOrEqual(low);
          expect(value).toBeLessThanOrEqual(high);
          expect(encodePid(pid, value)).toEqual(bytes);
        }),
        { numRuns: 30 },
      );
    }
  });
  it.each([
    ['an unknown PID', () => decodePid(1, 0xee, [1]), /01 EE is not one/],
    ['too few bytes', () => decodePid(1, 0x0c, [1]), /Engine speed \(01 0C\) needs 2 bytes, got 1/],
    ['what is no byte', () => decodePid(1, 0x05, [300]), /byte from 0 to 255, got 300/],
    ['an unknown PID to encode', () => encodePid(0xee, 1), /EE/],
    ['an unknown PID’s length', () => pidLength(0xee), /EE/],
    ['a short map', () => supportedPids([1, 2]), /4 bytes, got 2/],
  ])('refuses %s', (_, act, words) => {
    expect(act).toThrow(ObdError);
    expect(act).toThrow(words);
  });
});

describe('maps of supported values', () => {
  it('reads the standard’s example BE 1F A8 13', () => {
    expect(supportedPids([0xbe, 0x1f, 0xa8, 0x13])).toEqual([
      1, 3, 4, 5, 6, 7, 12, 13, 14, 15, 16, 17, 19, 21, 28, 31, 32,
    ]);
  });
  it('is undone by supportMap at every base', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 32 })), fc.constantFrom(0, 0x20, 0x40), (bits, base) => {
        const pids = bits.map((bit) => base + bit).sort((a, b) => a - b);
        expect(supportedPids(supportMap(pids, base), base)).toEqual(pids);
      }),
    );
  });
  it('keeps what this program reads', () => {
    expect(readable([1, 0x05, 0x0c, 0x1c])).toEqual([0x05, 0x0c]);
  });
});

describe('split answers, ISO 15765-2', () => {
  it('a short one is a single frame', () => {
    expect(splitMessage([0x41, 0x0c, 0x1a, 0xf8])).toEqual([[4, 0x41, 0x0c, 0x1a, 0xf8]]);
    expect(reassemble([[4, 0x41, 0x0c, 0x1a, 0xf8, 0, 0, 0]])).toEqual([0x41, 0x0c, 0x1a, 0xf8]);
  });
  it('a VIN is a first frame and two more', () => {
    const message = [0x49, 0x02, 0x01, ...Array.from('1HGCM82633A004352', (letter) => letter.charCodeAt(0))];
    const frames = splitMessage(message);
    expect(frames.map(([head]) => head)).toEqual([0x10, 0x21, 0x22]);
    expect(frames[0]?.[1]).toBe(20);
    expect([isFirst(frames[0]!), isFirst(frames[1]!), messageLength(frames[0]!), framesToFollow(20)]).toEqual([
      true,
      false,
      20,
      2,
    ]);
    expect(reassemble([frames[0]!, CONTINUE, ...frames.slice(1)])).toEqual(message);
    expect(decodeVin(dataOf(message, { mode: MODES.vehicle, pid: 2 }))).toBe('1HGCM82633A004352');
  });
  it('any message comes back whole, however long', () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: 1, maxLength: 600 }), (bytes) => {
        const message = [...bytes];
        expect(reassemble(splitMessage(message))).toEqual(message);
        expect(splitMessage(message)).toHaveLength(1 + framesToFollow(message.length));
      }),
    );
  });
  const frames = splitMessage(Array.from({ length: 30 }, (_, index) => index));
  it.each([
    ['nothing', [], /empty/],
    ['a lost frame', [frames[0]!, frames[2]!], /Frame 1 of the answer is lost: 2 came/],
    ['a repeated frame', [frames[0]!, frames[1]!, frames[1]!], /Frame 1 of the answer came twice/],
    ['an answer that breaks off', frames.slice(0, 3), /breaks off: 20 of 30 bytes/],
    ['a frame from elsewhere', [frames[0]!, [2, 1, 2]], /Expected frame 1 of the answer, got “02 01 02”/],
    ['a beginning that is none', [frames[1]!], /beginning of an answer/],
    ['a single frame that is short', [[5, 1, 2]], /says 5 bytes but holds 2/],
    [
      'a single frame followed by another',
      [
        [1, 2],
        [1, 2],
      ],
      /followed by another/,
    ],
    [
      'a first frame that announces what one frame holds',
      [
        [0x10, 7, 1, 2, 3, 4, 5, 6],
        [0x21, 7],
      ],
      /announces 7 bytes/,
    ],
    ['a first frame that announces nothing', [[0x10, 0, 1, 2, 3, 4, 5, 6]], /announces 0 bytes/],
    ['a frame that holds nothing', [[0, 0]], /holds nothing/],
  ])('says in words: %s', (_, broken, words) => {
    expect(() => reassemble(broken)).toThrow(words);
  });
  it('refuses to send nothing, or more than fits', () => {
    expect(() => splitMessage([])).toThrow(RangeError);
    expect(() => splitMessage(Array.from({ length: 4096 }, () => 0))).toThrow(/4095/);
  });
});

describe('requests and answers', () => {
  it.each([
    [{ mode: MODES.values, pid: 0x0c }, '01 0C'],
    [{ mode: MODES.frame, pid: 0x05 }, '02 05 00'],
    [{ mode: MODES.frame, pid: 0x05, frame: 1 }, '02 05 01'],
    [{ mode: MODES.stored }, '03'],
    [{ mode: MODES.clear }, '04'],
    [{ mode: MODES.pending }, '07'],
    [{ mode: MODES.vehicle, pid: 2 }, '09 02'],
  ])('%j is %s', (request, line) => {
    expect(encodeRequest(request)).toBe(line);
  });
  it('refuses a mode without its PID, and a PID where none goes', () => {
    expect(() => encodeRequest({ mode: MODES.values })).toThrow(/needs PID/);
    expect(() => encodeRequest({ mode: MODES.stored, pid: 1 })).toThrow(/takes no PID/);
  });
  it('reads lines of hex with or without spaces, and says what else stood there', () => {
    expect(bytesOfLine(' 04 41 0c 1A f8')).toEqual([4, 0x41, 0x0c, 0x1a, 0xf8]);
    expect(bytesOfLine('7F0112')).toEqual([0x7f, 1, 0x12]);
    expect(() => bytesOfLine('0Z 41')).toThrow(/got “0Z 41”/);
    expect(() => bytesOfLine('123')).toThrow(ObdError);
  });
  it('takes only the answer to its own request', () => {
    expect(dataOf([0x41, 0x0c, 1, 2], { mode: MODES.values, pid: 0x0c })).toEqual([1, 2]);
    expect(dataOf([0x42, 0x05, 0, 90], { mode: MODES.frame, pid: 0x05 })).toEqual([90]);
    expect(dataOf([0x44], { mode: MODES.clear })).toEqual([]);
    expect(() => dataOf([0x7f, 1, 0x12], { mode: MODES.values, pid: 5 })).toThrow(
      /Mode 01: the vehicle does not have this value/,
    );
    expect(() => dataOf([0x7f, 1, 0x99], { mode: MODES.values, pid: 5 })).toThrow(/refused with 99/);
    expect(() => dataOf([0x43], { mode: MODES.values, pid: 5 })).toThrow(/Asked 01 05, got an answer to 03/);
    expect(() => dataOf([0x41, 0x0c], { mode: MODES.values, pid: 5 })).toThrow(/Asked for value 05, got 0C/);
    expect(() => dataOf([0x41], { mode: MODES.values, pid: 5 })).toThrow(/got nothing/);
  });
  it('reads codes by their count, and leaves padding out', () => {
    expect(decodeCodes([2, 0x05, 0x05, 0x21, 0x19])).toEqual(['P0505', 'P2119']);
    expect(decodeCodes([0])).toEqual([]);
    expect(decodeCodes([1, 0x05, 0x05, 0, 0])).toEqual(['P0505']);
    expect(() => decodeCodes([3, 0x05, 0x05])).toThrow(/announced 3 codes and sent 1/);
    expect(() => decodeVin([0x41])).toThrow(/17 characters, got “A”/);
  });
});

describe('what the maker numbers himself', () => {
  it('goes both ways, two bytes each, by an identifier of two bytes', () => {
    for (const id of MAKER_PIDS.keys())
      for (const value of [0, 12.34, 60]) expect(decodeMaker(id, encodeMaker(id, value)).value).toBeCloseTo(value, 6);
    expect(encodeRequest({ mode: MODES.maker, pid: 0x1101 })).toBe('22 11 01');
    expect(dataOf([0x62, 0x11, 0x01, 0x0c, 0x80], { mode: MODES.maker, pid: 0x1101 })).toEqual([0x0c, 0x80]);
    expect(() => dataOf([0x62, 0x11, 0x02, 0, 0], { mode: MODES.maker, pid: 0x1101 })).toThrow(/got another/);
    expect(() => decodeMaker(0x9999, [0, 0])).toThrow(/22 99 99/);
    expect(() => decodeMaker(0x1101, [0])).toThrow(/2 bytes, got 1/);
  });
});
