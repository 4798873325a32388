import { availableParallelism } from 'node:os';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

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
          testTimeout: 60_000,
          // Seeding a whole demo world takes seconds on a busy machine.
          hookTimeout: 120_000,
        },
      },
      {
        plugins: [vue({ template: { compilerOptions: { whitespace: 'preserve' } } })],
        test: { name: 'web', include: ['web/**/*.test.ts'], environment: 'happy-dom' },
      },
    ],
  },
});
