import { SHIPPED_KNOWLEDGE } from '../../diagnose/knowledge/index.ts';
import type { Command, CommandBody, RecordedEvent } from '../catalogue.ts';
import { type Context, NO_CONTEXT } from '../context.ts';
import { asksOf, decide } from '../decide.ts';
import { evolve } from '../evolve.ts';
import type { Job } from '../job.ts';
import { RICH_PROCEDURE, SAMPLE_CONTEXT, SAMPLE_PROCEDURE, SAMPLE_VEHICLE } from './world.ts';

/** A job and the log that made it. */
export interface Played {
  readonly job: Job | null;
  readonly log: readonly RecordedEvent[];
}

/** What the sample world has of what a command asks for, and nothing else: a command that asks too little is refused. */
export function contextFor(body: CommandBody): Context {
  const { nextNumber, vehicle, procedure, wrenches, knowledge, family, rules, figures, measures, role, earlier } =
    asksOf(body);
  const sample = procedure?.id === 'rich' ? RICH_PROCEDURE : SAMPLE_PROCEDURE;
  return {
    ...NO_CONTEXT,
    ...(nextNumber && { nextNumber: SAMPLE_CONTEXT.nextNumber }),
    ...(vehicle !== undefined && {
      vehicle:
        vehicle === 'boat'
          ? { ...SAMPLE_VEHICLE, id: 'boat', use: 'outboard' as const }
          : vehicle === 'bank'
            ? {
                ...SAMPLE_VEHICLE,
                id: 'bank',
                units: [1, 2].map((place) => ({
                  ...SAMPLE_VEHICLE.units[0]!,
                  id: `u${place}`,
                  place: `cylinder ${place}`,
                })),
              }
            : vehicle === 'v'
              ? SAMPLE_VEHICLE
              : { ...SAMPLE_VEHICLE, id: vehicle },
    }),
    ...(procedure && { procedure: { ...sample, version: procedure.version ?? sample.version } }),
    ...(wrenches && { wrenches: SAMPLE_CONTEXT.wrenches }),
    ...(knowledge !== undefined && {
      knowledge: typeof knowledge === 'number' ? { ...SHIPPED_KNOWLEDGE, version: knowledge } : SHIPPED_KNOWLEDGE,
    }),
    ...(family && { family: SAMPLE_CONTEXT.family }),
    ...(rules && { rules: SAMPLE_CONTEXT.rules }),
    ...(figures && { figures: SAMPLE_CONTEXT.figures }),
    ...(measures && { measures: SAMPLE_CONTEXT.measures }),
    ...(role && { role: SAMPLE_CONTEXT.role }),
    ...(earlier !== undefined && { earlier: SAMPLE_CONTEXT.earlier }),
  };
}

/** Plays commands two minutes apart; the n-th has the id `cn`, from `c0`. @throws Error when one is refused */
export function play(bodies: readonly CommandBody[], world: Partial<Context> = {}): Played {
  let job: Job | null = null;
  const log: RecordedEvent[] = [];
  for (const [index, body] of bodies.entries()) {
    const at = `2026-05-13T08:${String(index * 2).padStart(2, '0')}:00.000Z`;
    const decision = decide(job, (body.type === 'open-job' ? { ...body, at } : body) as Command, {
      ...contextFor(body),
      ...world,
    });
    if (!decision.ok) throw new Error(`${body.type}: ${decision.message}`);
    for (const fact of decision.events) {
      const recorded = {
        ...fact,
        seq: log.length + 1,
        commandId: `c${index}`,
        at,
        by: 'tomas',
      } as RecordedEvent;
      log.push(recorded);
      job = evolve(job, recorded, 'j');
    }
  }
  return { job, log };
}
