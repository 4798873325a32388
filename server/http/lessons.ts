import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import { z } from 'zod';
import { type CauseLine, lessonAnswerInput, type LessonLine } from '../../contract/index.ts';
import { causeEdit, causeWords, lessonWords, needFor, shelfFor } from '../../core/lessons/index.ts';
import type { Services } from '../services.ts';
import { type Actor, change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

/** One is kept on the shelf: it is ordered again when none is free. */
const ORDER_AT = 0;

/** Who it is from is read by itself: the answers are told apart by what they are. */
const anything = z.record(z.string(), z.unknown());
const lessonId = z.string().min(1).max(300);

/** What the shop’s own work has to teach it: looked at, and taken into a procedure, the stock or the knowledge by a lead. */
export function lessonRoutes(services: Services): Router {
  const { lessons, procedures, stock, knowledge, now } = services;
  const router = Router();
  const all = () => lessons.all(knowledge.newest(), now());

  router.get('/lessons', (_request, response) => {
    response.json(all());
  });
  router.post(
    '/lessons/:id/answers',
    change(services, (request, actor) => {
      const which = parse(lessonId, request.params.id);
      const { by: _, ...said } = parse(anything, request.body);
      const answer = parse(lessonAnswerInput, said);
      mustLead(actor, 'What a lesson goes into');
      if (answer.what === 'take-up-again') {
        lessons.takenUpAgain(which, actor);
        return { body: all() };
      }
      const { found, causes } = all();
      const line = found.find((each) => each.id === which) ?? null;
      const cause = causes.find((each) => each.id === which) ?? null;
      if (line === null && cause === null)
        throw new HttpError('not-found', 'That lesson no longer holds: more was looked at meanwhile.');
      if (answer.what === 'set-aside') lessons.answered(which, 'set-aside', '', answer.note, actor);
      else if (answer.what === 'knowledge') takeIntoKnowledge(cause, actor);
      else if (answer.what === 'stock') takeIntoStock(line, actor);
      else takeIntoProcedure(line, answer.procedureId, actor);
      return { status: 201, body: all() };
    }),
  );
  return router;

  function takeIntoProcedure(line: LessonLine | null, procedureId: string, actor: Actor): void {
    const need = line === null ? null : needFor(line, line.part, lessonWords(line));
    const body = procedures.get(procedureId);
    if (line === null || need === null || body === null)
      throw new HttpError('bad-value', 'That lesson has nothing to add to that procedure.');
    if (body.needs.some((each) => each.id === need.id))
      throw new HttpError('bad-value', `“${body.name}” says so already.`);
    const note = `learnt here: ${need.name}`;
    const saved = procedures.save({ ...body, needs: [...body.needs, need] }, body.version, note, actor);
    if (!saved.ok) throw new HttpError('procedure-moved-on', 'The procedure was saved meanwhile. Nothing was changed.');
    lessons.answered(line.id, 'procedure', procedureId, note, actor);
  }

  function takeIntoStock(line: LessonLine | null, actor: Actor): void {
    const part = line === null ? null : shelfFor(line, line.part);
    if (line === null || part === null)
      throw new HttpError('bad-value', 'No part is known that would be on the shelf for it.');
    if (line.stock !== null && line.stock.orderAt !== null)
      throw new HttpError('bad-value', 'It is ordered again by itself already.');
    const known = line.stock === null ? null : (stock.file(line.stock.id, now())?.item ?? null);
    const { id: stockId, version } = known ?? { id: randomUUID(), version: 0 };
    const { name, partNumber, kind, place, priceMinor, detail } = known ?? {
      ...part,
      kind: 'seal' as const,
      place: '',
      priceMinor: 0,
      detail: {},
    };
    const input = { name, partNumber, kind, place, priceMinor, detail: { ...detail, reorderAt: ORDER_AT } };
    stock.put(stockId, input, version, actor);
    lessons.answered(line.id, 'stock', stockId, part.partNumber, actor);
  }

  function takeIntoKnowledge(cause: CauseLine | null, actor: Actor): void {
    if (cause === null) throw new HttpError('bad-value', 'That lesson says nothing of causes.');
    const result = knowledge.change([causeEdit(cause)], `Learnt here: ${cause.name}. ${causeWords(cause)}`, actor);
    if (!result.ok) throw new HttpError('bad-value', result.problems[0]?.message ?? 'That cannot be used.');
    lessons.answered(cause.id, 'knowledge', String(result.knowledge.version), cause.fits, actor);
  }
}
