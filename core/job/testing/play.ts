import { SHIPPED_KNOWLEDGE } from '../../diagnose/knowledge/index.ts';
import type { Command, CommandBody, Context } from '../commands.ts';
import { decide } from '../decide/index.ts';
import type { RecordedEvent } from '../events.ts';
import { evolve } from '../evolve/index.ts';
import type { Job } from '../types.ts';
import { RICH_PROCEDURE, SAMPLE_CONTEXT, SAMPLE_PROCEDURE } from './world.ts';

/** A job and the log that made it. */
export interface Played {
  readonly job: Job | null;
  readonly log: readonly RecordedEvent[];
}

/** The sample context; a change of knowledge or procedure finds the one it asks for. */
export function contextFor(body: CommandBody): Context {
  switch (body.type) {
    case 'choose-knowledge':
      return { ...SAMPLE_CONTEXT, knowledge: { ...SHIPPED_KNOWLEDGE, version: body.data.version } };
    case 'pin-procedure':
      return { ...SAMPLE_CONTEXT, procedure: body.data.procedureId === 'rich' ? RICH_PROCEDURE : SAMPLE_PROCEDURE };
    case 'move-to-version': {
      const procedure = body.data.procedureId === 'rich' ? RICH_PROCEDURE : SAMPLE_PROCEDURE;
      return { ...SAMPLE_CONTEXT, procedure: { ...procedure, version: body.data.version } };
    }
    default:
      return SAMPLE_CONTEXT;
  }
}

/** Plays commands two minutes apart; the n-th has the id `cn`, from `c0`. @throws Error when one is refused */
export function play(bodies: readonly CommandBody[]): Played {
  let job: Job | null = null;
  const log: RecordedEvent[] = [];
  for (const [index, body] of bodies.entries()) {
    const decision = decide(job, body as Command, contextFor(body));
    if (!decision.ok) throw new Error(`${body.type}: ${decision.message}`);
    for (const fact of decision.events) {
      const recorded = {
        ...fact,
        seq: log.length + 1,
        commandId: `c${index}`,
        at: `2026-05-13T08:${String(index * 2).padStart(2, '0')}:00.000Z`,
        by: 'tomas',
      } as RecordedEvent;
      log.push(recorded);
      job = evolve(job, recorded, 'j');
    }
  }
  return { job, log };
}
