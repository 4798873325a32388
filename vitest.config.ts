import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
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
