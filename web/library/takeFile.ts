import { ref } from 'vue';
import { ApiError } from '../data/api.ts';

/** As many lines of what is wrong with a file as are shown. */
const SHOWN = 7;

/** A JSON file that a person picks: read, given to `take`, and what is wrong with it in lines, the first the whole. */
export function useTakeFile(take: (file: unknown) => Promise<void>) {
  const wrong = ref<readonly string[]>([]);
  async function readFile(event: Event): Promise<void> {
    const input = event.target as HTMLInputElement;
    const file = input.files?.[0];
    if (file === undefined) return;
    wrong.value = [];
    try {
      await take(JSON.parse(await file.text()));
    } catch (error) {
      wrong.value =
        error instanceof ApiError
          ? [error.message, ...Object.entries(error.fields).map(([where, what]) => `${where}: ${what}`)].slice(0, SHOWN)
          : error instanceof SyntaxError
            ? [`${file.name} is not JSON: ${error.message}`]
            : [String(error)];
    } finally {
      input.value = '';
    }
  }
  return { wrong, readFile };
}
