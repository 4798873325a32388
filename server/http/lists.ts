import { Router } from 'express';
import { z } from 'zod';
import { family, type FamilyInput, id, person, procedure, stockItem, wrench } from '../../contract/index.ts';
import { type Case, type Group, GROUPS } from '../../core/diagnose/index.ts';
import { ruleProblem } from '../../core/house/index.ts';
import { checkProcedure } from '../../core/procedure/index.ts';
import { bayAt } from '../store/bay.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const finding = z.strictObject({ sign: id, outcome: id });
const writtenCase = z.strictObject({
  id,
  title: z.string().min(1).max(200),
  subject: z.strictObject({ group: z.enum(Object.keys(GROUPS) as [Group, ...Group[]]), hasValve: z.boolean() }),
  told: z.array(finding).max(100),
  finds: z.record(id, id),
  truth: id,
}) satisfies z.ZodType<Case>;

const shop = z.strictObject({
  people: z.array(person).max(200),
  settings: z.record(z.string().max(60), z.string().max(200)),
  wrenches: z.array(wrench).max(200),
  stock: z.array(stockItem).max(5000),
  procedures: z.array(procedure).max(500),
  families: z.array(family).max(500).default([]),
  rules: z.record(id, id).default({}),
  cases: z.array(writtenCase).max(1000).default([]),
});

/** The workshop's lists, the Bay and health. */
export function listRoutes({ lists, jobs, knowledge, families, house, now, forgetPeople }: Services): Router {
  const router = Router();
  router.get('/health', (_request, response) => {
    lists.setting('shop-name');
    response.json({ ok: true });
  });
  router.get('/shop', (_request, response) => {
    response.json({
      settings: lists.settings(),
      people: lists.people(),
      wrenches: lists.wrenches(),
      rules: house.rules(),
      now: now(),
    });
  });
  router.get('/stock', (_request, response) => {
    response.json({ rows: lists.stock(), next: null });
  });
  router.get('/procedures', (_request, response) => {
    response.json({ rows: lists.procedures(), next: null });
  });
  router.get('/procedures/:id', (request, response) => {
    const found = lists.procedure(parse(id, request.params.id));
    if (found === null) throw new HttpError('no-such-procedure', 'There is no such procedure.');
    response.json(found);
  });
  router.get('/bay', (_request, response) => {
    response.json(bayAt(now(), jobs, lists));
  });
  // A shop file fills the lists at once; a procedure that cannot be worked from refuses the whole file.
  router.put('/shop', (request, response) => {
    const file = parse(shop, request.body);
    const fields = Object.fromEntries([
      ...Object.entries(file.rules).flatMap(([question, answer]) => {
        const problem = ruleProblem(question, answer);
        return problem === null ? [] : [[`rules.${question}`, problem] as const];
      }),
      ...file.procedures.flatMap((each) =>
        checkProcedure(each).map((problem) => [`procedures.${each.id}`, problem] as const),
      ),
    ]);
    const [first] = Object.values(fields);
    if (first !== undefined) throw new HttpError('bad-value', first, { fields });
    lists.putShop(file, now());
    for (const { id: familyId, ...input } of file.families) families.put(familyId, input as FamilyInput, 'shop', now());
    for (const [question, answer] of Object.entries(file.rules)) house.setRule(question, answer, 'shop', now());
    knowledge.putCases(file.cases);
    forgetPeople();
    response.json({ ok: true });
  });
  return router;
}
