import type { CleaningMethod, Method, PassKind, Substance } from '../../../core/clean/index.ts';
import { type CommandData, gradedAt, type Job, type JobUnit } from '../../../core/job/index.ts';
import { freshId } from '../../stores/job.ts';

/** What is done otherwise than proposed; what is left out is as the method has it. */
export interface Otherwise {
  readonly substance?: Substance | null;
  readonly how?: Method | null;
  readonly minutes?: number | null;
  /** Why it is done although something speaks against it. */
  readonly because?: string;
}
/** How a pass is usually done, where the method does not say. */
const USUAL_HOW: Readonly<Partial<Record<PassKind, Method>>> = {
  wet: 'spray',
  soak: 'soak',
  brush: 'brush',
  scrape: 'brush',
  wipe: 'wipe',
  bath: 'bath',
};
/** Whether a pass is a wait that has a timer. */
export const isWait = (kind: PassKind): boolean => kind === 'soak' || kind === 'bath';

/** A pass over a unit as its method has it, or otherwise, with the timer that a soak or a bath starts. */
export function passOver(
  unit: JobUnit,
  method: CleaningMethod,
  kind: PassKind,
  otherwise: Otherwise = {},
): CommandData['do-pass'] {
  const plan = method.passes.find((each) => each.kind === kind);
  const used = otherwise.substance ?? plan?.substance ?? null;
  const usual = plan?.how ?? USUAL_HOW[kind] ?? null;
  // Covering, rinsing and drying are done with nothing, whatever was picked.
  const how = usual === null ? null : (otherwise.how ?? usual);
  const minutes = otherwise.minutes ?? plan?.minutes ?? null;
  return {
    id: freshId(),
    unit: unit.id,
    kind,
    form: unit.form,
    ...(used === null || how === null ? {} : { substance: used, how }),
    ...(otherwise.because === undefined || otherwise.because.trim() === '' ? {} : { because: otherwise.because }),
    ...(minutes === null || !isWait(kind)
      ? {}
      : {
          soak: { timerId: freshId(), label: `${unit.name} ${kind === 'bath' ? 'in the bath' : 'soaks'}`, minutes },
        }),
  };
}

/**
 * A look at what the round has left, by the grade card.
 * @param grade 0 (as new) to 4 (coke) @param bore which of several in one casting; empty for the only one
 */
export const lookAt = (job: Job, unit: JobUnit, grade: number, bore = ''): CommandData['judge-point'] => ({
  id: freshId(),
  unit: unit.id,
  kind: unit.kind,
  form: unit.form,
  point: gradedAt(job, unit),
  when: 'after',
  which: bore,
  marks: [grade],
  outcome: '',
  typed: [],
  note: '',
});
