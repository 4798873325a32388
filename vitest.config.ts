import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

const drawn = vue({ template: { compilerOptions: { whitespace: 'preserve' } } });

/** Files that put something else in the place of a module, or load it anew, need modules of their own; others share. */
const apart = readdirSync('web', { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.test.ts'))
  .map((file) => join('web', file))
  .filter((file) => /vi\.(mock|resetModules)\(/.test(readFileSync(file, 'utf8')));

export default defineConfig({
  test: {
    // By itself it leaves a processor free for an editor; two were measured to take two thirds of the time of one.
    maxWorkers: Math.max(2, availableParallelism() - 1),
    projects: [
      {
        test: {
          name: 'node',
          include: ['{core,contract,server,demo}/**/*.test.ts'],
          environment: 'node',
          isolate: false,
          testTimeout: 60_000,
          // Seeding a whole demo world takes seconds on a busy machine.
          hookTimeout: 120_000,
        },
      },
      {
        plugins: [drawn],
        test: {
          name: 'web',
          include: ['web/**/*.test.ts'],
          exclude: apart,
          environment: './web/oneWindow.environment.ts',
          setupFiles: './web/leftBehind.setup.ts',
          isolate: false,
          testTimeout: 60_000,
        },
      },
      {
        plugins: [drawn],
        test: { name: 'web apart', include: apart, environment: 'happy-dom', testTimeout: 60_000 },
      },
    ],
  },
});
