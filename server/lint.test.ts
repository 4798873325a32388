import { ESLint } from 'eslint';
import { describe, expect, it } from 'vitest';

const eslint = new ESLint();
const breaches = async (filePath: string, code: string): Promise<string[]> => {
  const [result] = await eslint.lintText(code, { filePath });
  return (result?.messages ?? [])
    .map(({ ruleId }) => ruleId ?? 'fatal')
    .filter((rule) => rule.includes('boundaries') || rule.includes('restricted'));
};

describe('lint catches a breach of the rooms', () => {
  it.each([
    ['core/job/x.ts', "export { openStore } from '../../server/store/open.ts';"],
    ['core/job/x.ts', "import type { Command } from '../../contract/index.ts';\nexport type X = Command;"],
    ['contract/x.ts', "export { openStore } from '../server/store/open.ts';"],
    ['server/http/x.ts', "export { useJob } from '../../web/stores/job.ts';"],
    ['web/stores/x.ts', "export const x = () => import('../../server/store/open.ts');"],
    ['demo/x.ts', "export { openStore } from '../server/store/open.ts';"],
    ['server/http/x.ts', "export { seedDemo } from '../../demo/seed.ts';"],
    ['core/job/x.ts', "export { readFileSync } from 'node:fs';"],
    ['core/job/x.ts', "export { ref } from 'vue';"],
    ['core/job/x.ts', 'export const now = () => Date.now();'],
    ['core/job/x.ts', 'export const now = () => new Date();'],
    ['core/job/x.ts', 'export const dice = () => Math.random();'],
    ['core/job/x.ts', "export const day = (said: string) => said.split(', ')[0];"],
    ['web/stores/x.ts', "export const what = (said: string) => said.split(': ')[0];"],
    [
      'server/store/x.ts',
      'export const all = (db: { transaction: (work: () => void) => void }) => db.transaction(() => 0);',
    ],
    ['contract/x.ts', "export { default } from 'express';"],
    ['web/stores/x.ts', "export { z } from 'zod';"],
    ['web/stores/x.ts', "import { watch } from 'vue';\nwatch(() => [Number('1')], () => undefined);"],
    ['web/bay/x.ts', "import { api } from '../data/api.ts';\nvoid api.get('/bay');"],
    ['web/bay/X.vue', '<script setup lang="ts">\nvoid fetch(\'/api/bay\');\n</script>\n<template><p>x</p></template>'],
  ])('%s: %s', async (file, code) => {
    expect(await breaches(file, code)).not.toEqual([]);
  });
  it.each([
    ['web/bay/x.ts', "export { ApiError } from '../data/api.ts';"],
    ['web/forms/x.ts', "export { z } from 'zod';"],
    ['web/stores/x.ts', "import type { JobReply } from '../../contract/index.ts';\nexport type X = JobReply;"],
    ['server/http/x.ts', "export { decide } from '../../core/job/index.ts';"],
    ['demo/x.ts', "export { decide } from '../core/job/index.ts';"],
  ])('and lets through what is allowed: %s', async (file, code) => {
    expect(await breaches(file, code)).toEqual([]);
  });
});
