// How the server's programs are bundled, for those that are shipped and those that tests start.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './say.mjs';

/** Of these a few functions are used, out of hundreds of files that would all be read at every start. */
const TAKEN_IN = ['date-fns', '@date-fns/tz', 'zod'];

const { dependencies } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));

/** @type {import('esbuild').BuildOptions} */
export const serverBundle = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: Object.keys(dependencies).filter((name) => !TAKEN_IN.includes(name)),
};
