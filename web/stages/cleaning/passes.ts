import type { CleaningMethod, PassKind, Substance } from '../../../core/clean/index.ts';
import { cleaningPoint } from '../../../core/inspect/index.ts';
import type { JobUnit, CommandData } from '../../../core/job/index.ts';
import { freshId } from '../../stores/job.ts';

/** A pass over a unit as its method has it, with the timer that a soak or a bath starts. @param substance null for the method's own */
export function passOver(
  unit: JobUnit,
  method: CleaningMethod,
  kind: PassKind,
  substance: Substance | null = null,
): CommandData['do-pass'] {
  const plan = method.passes.find((each) => each.kind === kind);
  const used = substance ?? plan?.substance ?? null;
  const minutes = plan?.minutes ?? null;
  return {
    id: freshId(),
    unit: unit.id,
    kind,
    form: unit.form,
    ...(used === null || plan?.how == null ? {} : { substance: used, how: plan.how }),
    ...(minutes === null || (kind !== 'soak' && kind !== 'bath')
      ? {}
      : {
          soak: { timerId: freshId(), label: `${unit.name} ${kind === 'bath' ? 'in the bath' : 'soaks'}`, minutes },
        }),
  };
}

/** A look at what the round has left, by the grade card. @param grade 0 (as new) to 4 (coke) */
export const lookAt = (unit: JobUnit, grade: number): CommandData['judge-point'] => ({
  id: freshId(),
  unit: unit.id,
  kind: unit.kind,
  form: unit.form,
  point: cleaningPoint(unit.form),
  when: 'after',
  which: '',
  marks: [grade],
  outcome: '',
  typed: [],
  note: '',
});
