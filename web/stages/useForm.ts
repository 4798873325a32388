import { ref } from 'vue';
import type { CommandData, CommandType, Refusal } from '../../core/job/index.ts';
import { useJob } from '../stores/job.ts';

/**
 * Sends a command from a form: what is wrong stands beside its field, what was typed stays.
 * `error(field)` is the message for one field; `general` what belongs to no field.
 */
export function useForm() {
  const store = useJob();
  const wrong = ref<Pick<Refusal, 'field' | 'message' | 'wouldHelp' | 'at'> | null>(null);

  function send<K extends CommandType>(type: K, data: CommandData[K]): boolean {
    wrong.value = store.send(type, data);
    return wrong.value === null;
  }
  const error = (field: string): string | null => (wrong.value?.field === field ? wrong.value.message : null);
  const general = (...known: string[]): string | null =>
    wrong.value !== null && (wrong.value.field === null || !known.includes(wrong.value.field))
      ? `${wrong.value.message} ${wrong.value.wouldHelp}`.trim()
      : null;
  const clear = (): void => {
    wrong.value = null;
  };

  return { send, error, general, clear, wrong };
}
