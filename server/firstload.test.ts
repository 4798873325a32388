import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
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
  it('takes pages to be opened without the server: at most 3 MB, with every page and font among them', () => {
    const list = readFileSync(join(web, 'sw.js'), 'utf8');
    const kept = [...list.matchAll(/url:\s*"([^"]+)"/g)].map(([, url]) => url ?? '');
    const bytes = [...kept, 'sw.js'].reduce((sum, url) => sum + statSync(join(web, url)).size, 0);
    expect(bytes).toBeLessThanOrEqual(3 * 1024 * 1024);
    const built = readdirSync(join(web, 'assets')).filter((name) => /\.(js|css|woff2)$/.test(name));
    expect(kept).toEqual(expect.arrayContaining(['index.html', ...built.map((name) => `assets/${name}`)]));
  });
});
