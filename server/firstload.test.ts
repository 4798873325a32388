import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { build } from 'vite';
import { firstLoadBytes } from './testing/measuring/everything.ts';

const web = join(process.cwd(), 'dist', 'web');

describe('the first load', () => {
  beforeAll(async () => {
    // npm test builds before; alone, this file builds for itself.
    if (!existsSync(join(web, '.vite', 'manifest.json'))) await build({ logLevel: 'error' });
  }, 60_000);
  it('is at most 150 KB of JavaScript, gzipped, and carries no schemas', () => {
    expect(firstLoadBytes(web)).toBeGreaterThan(30 * 1024);
    expect(firstLoadBytes(web)).toBeLessThanOrEqual(150 * 1024);
  });
});
