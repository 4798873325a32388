import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { PictureMarking } from '../core/job/index.ts';
import { markedForPrint } from './report/markedPicture.ts';

let folder: string;
let path: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'marked-'));
  path = join(folder, 'grey.png');
  await sharp({ create: { width: 400, height: 200, channels: 3, background: '#808080' } })
    .png()
    .toFile(path);
});
afterAll(() => rmSync(folder, { recursive: true }));

const marking = (rotation: PictureMarking['rotation']): { marking: PictureMarking } => ({
  marking: {
    rotation,
    marks: [
      { kind: 'circle', x: 0.5, y: 0.5, radius: 0.1 },
      { kind: 'arrow', x: 0.1, y: 0.25, toX: 0.3, toY: 0.25 },
      { kind: 'text', x: 0.25, y: 0.75, text: 'coke' },
    ],
    anchors: [],
  },
});
/** Whether the light of a mark is at that place, as shares of the printed picture. */
async function lit(jpeg: Buffer, x: number, y: number): Promise<boolean> {
  const { data, info } = await sharp(jpeg).raw().toBuffer({ resolveWithObject: true });
  const at = (Math.round(y * info.height) * info.width + Math.round(x * info.width)) * info.channels;
  return data[at]! > 190 && data[at + 2]! < 170;
}

describe('a marked picture on paper', () => {
  it('has its circle and its arrow where the screen has them', async () => {
    // 400 × 200 in a square of 400: a quarter is left free above and below.
    const { jpeg, words } = await markedForPrint(path, marking(0), 400, 400);
    expect(await lit(jpeg, 0.6, 0.5)).toBe(true);
    expect(await lit(jpeg, 0.5, 0.6)).toBe(true);
    expect(await lit(jpeg, 0.5, 0.5)).toBe(false);
    expect(await lit(jpeg, 0.2, 0.375)).toBe(true);
    expect(words).toEqual([{ text: 'coke', x: 0.25, y: 0.625, size: expect.closeTo(0.04, 6) }]);
  });
  it('turns with the picture, its words set upright where they belong', async () => {
    const { jpeg, words } = await markedForPrint(path, marking(90), 400, 400);
    expect(await lit(jpeg, 0.5, 0.6)).toBe(true);
    // What was above on the left is above on the right.
    expect(await lit(jpeg, 0.625, 0.2)).toBe(true);
    expect(words[0]).toMatchObject({ x: 0.375, y: 0.25 });
  });
  it('is plain where nothing was marked', async () => {
    const { jpeg, words } = await markedForPrint(path, {}, 400, 400);
    expect(words).toEqual([]);
    expect(await lit(jpeg, 0.6, 0.5)).toBe(false);
  });
});
