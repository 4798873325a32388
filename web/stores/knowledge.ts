import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import type { FamilyRow } from '../../contract/index.ts';
import type { Knowledge } from '../../core/diagnose/index.ts';
import type { EngineFamily } from '../../core/vehicle/index.ts';
import { ask } from '../data/kept.ts';

/** Versions of the knowledge and engine families, fetched once each: a version never changes. */
export const useKnowledge = defineStore('knowledge', () => {
  const versions = shallowRef<ReadonlyMap<number, Knowledge>>(new Map());
  const families = shallowRef<ReadonlyMap<string, EngineFamily>>(new Map());
  const problem = shallowRef('');

  async function need(version: number): Promise<void> {
    if (versions.value.has(version)) return;
    try {
      const found = await ask<Knowledge>(`/knowledge/${version}`);
      versions.value = new Map([...versions.value, [version, found]]);
      problem.value = '';
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
    }
  }

  /** The newest version, or null with the problem said. */
  async function needNewest(): Promise<Knowledge | null> {
    try {
      const found = await ask<Knowledge>('/knowledge/newest');
      versions.value = new Map([...versions.value, [found.version, found]]);
      problem.value = '';
      return found;
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
      return null;
    }
  }

  async function needFamily(id: string): Promise<void> {
    if (families.value.has(id)) return;
    try {
      const { family: found } = await ask<FamilyRow>(`/families/${id}`);
      families.value = new Map([...families.value, [id, found]]);
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
    }
  }

  async function needFamilies(): Promise<void> {
    try {
      const { rows } = await ask<{ rows: EngineFamily[] }>('/families');
      families.value = new Map([...families.value, ...rows.map((each) => [each.id, each] as const)]);
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
    }
  }

  return { versions, families, problem, need, needNewest, needFamily, needFamilies };
});
