import { computed, ref, shallowRef, watch } from 'vue';
import { type Recipe, recipeOf, starterRecipe, step as blankStep } from '../../../core/relearn/index.ts';
import { dropDraft, keepDraft, readDraft } from '../../forms/drafts.ts';
import { readRecipe, readRecipeVersions, saveRecipe } from '../../data/recipes.ts';
import type { RecipeVersion } from '../../../contract/index.ts';
import { readRecipeText, recipeText, type RecipeText, type StepText } from './recipeText.ts';

/** What the editor opens: a recipe by its id, or nothing. */
export function useRecipeEditor(id: string | null) {
  const text = shallowRef<RecipeText | null>(null);
  const basedOn = ref(0);
  const versions = shallowRef<readonly RecipeVersion[]>([]);
  const failed = ref('');
  const wrong = ref('');
  const saving = ref(false);
  const restored = ref(false);
  const selected = ref('');
  const pristine = shallowRef<RecipeText | null>(null);
  const draft = `recipe.${id ?? 'new'}`;

  const read = computed(() => (text.value === null ? null : readRecipeText(text.value)));
  const problems = computed(() => read.value?.problems ?? []);
  const changed = computed(() => text.value !== pristine.value);

  async function load(): Promise<void> {
    try {
      const recipe: Recipe =
        id === null
          ? recipeOf({ id: `recipe-${crypto.randomUUID().slice(0, 8)}`, name: '', steps: [freshStep('step-1')] })
          : await readRecipe(id);
      versions.value = id === null ? [] : await readRecipeVersions(id);
      pristine.value = recipeText(recipe);
      const kept = readDraft<RecipeText>(draft, pristine.value);
      text.value = kept?.text ?? pristine.value;
      basedOn.value = kept?.basedOn ?? recipe.version;
      restored.value = kept !== null;
      selected.value = text.value.steps[0]?.id ?? '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  const freshStep = (stepId: string): StepText & Recipe['steps'][number] =>
    blankStep({ id: stepId, kind: 'check', title: '', how: '' }) as StepText & Recipe['steps'][number];
  watch(text, (now) => {
    if (now !== null && changed.value) keepDraft(draft, { text: now, basedOn: basedOn.value });
  });

  function put(more: Partial<RecipeText>): void {
    if (text.value !== null) text.value = { ...text.value, ...more };
  }
  function putStep(stepId: string, more: Partial<StepText>): void {
    put({ steps: (text.value?.steps ?? []).map((each) => (each.id === stepId ? { ...each, ...more } : each)) });
  }
  /** A new step below another; -1 puts it first. */
  function addStep(below: number): void {
    const steps = [...(text.value?.steps ?? [])];
    const taken = new Set(steps.map((each) => each.id));
    let number = steps.length + 1;
    while (taken.has(`step-${number}`)) number += 1;
    const fresh = recipeText(recipeOf({ id: 'x', name: '', steps: [freshStep(`step-${number}`)] })).steps;
    steps.splice(below + 1, 0, ...fresh);
    put({ steps });
    selected.value = `step-${number}`;
  }
  function moveStep(stepId: string, by: 1 | -1): void {
    const steps = [...(text.value?.steps ?? [])];
    const from = steps.findIndex((each) => each.id === stepId);
    const [moved] = steps.splice(from, 1);
    if (moved === undefined || from + by < 0 || from + by > steps.length) return;
    steps.splice(from + by, 0, moved);
    put({ steps });
  }
  /** Takes a step out; ways that led to it lead to what came after it. */
  function removeStep(stepId: string): void {
    const steps = text.value?.steps ?? [];
    const at = steps.findIndex((each) => each.id === stepId);
    const after = steps[at + 1]?.id ?? 'done';
    const turned = <T extends { readonly goTo: string }>(ways: readonly T[]): readonly T[] =>
      ways.map((way) => (way.goTo === stepId ? { ...way, goTo: after } : way));
    put({
      steps: steps
        .filter((each) => each.id !== stepId)
        .map((each) => ({
          ...each,
          answers: turned(each.answers),
          instead: turned(each.instead),
          endsBadly: turned(each.endsBadly),
          again: each.again?.back === stepId ? { ...each.again, back: each.id } : each.again,
        })),
    });
    selected.value = (text.value?.steps[at] ?? text.value?.steps[at - 1])?.id ?? '';
  }
  /** Words of a flag of the recipe's own; a new one where there is none of that name. */
  function putFlag(words: string, name: string): void {
    const flags = text.value?.flags ?? [];
    const off = words === '' ? '' : `not: ${words}`;
    put({
      flags: flags.some((flag) => flag.id === name)
        ? flags.map((flag) => (flag.id === name ? { ...flag, on: words, off } : flag))
        : [...flags, { id: name, on: words, off }],
    });
  }
  function startOver(): void {
    dropDraft(draft);
    restored.value = false;
    text.value = pristine.value;
    selected.value = text.value?.steps[0]?.id ?? '';
  }
  /** @returns the saved version, or null when it was not taken; what is wrong is then in `wrong` */
  async function save(note: string): Promise<Recipe | null> {
    if (read.value === null) return null;
    wrong.value = '';
    const [first] = problems.value.filter(({ level }) => level === 'wrong');
    if (first !== undefined) {
      wrong.value = first.words;
      if (first.stepId !== null) selected.value = first.stepId;
      return null;
    }
    saving.value = true;
    try {
      const saved = await saveRecipe(read.value.recipe, basedOn.value, note);
      dropDraft(draft);
      return saved;
    } catch (error) {
      wrong.value = error instanceof Error ? error.message : String(error);
      return null;
    } finally {
      saving.value = false;
    }
  }
  const shipped = id !== null && starterRecipe(id) !== null;
  return {
    text,
    read,
    problems,
    basedOn,
    versions,
    failed,
    wrong,
    saving,
    restored,
    selected,
    shipped,
    load,
    put,
    putStep,
    addStep,
    moveStep,
    removeStep,
    putFlag,
    startOver,
    save,
  };
}
