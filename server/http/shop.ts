import { Router } from 'express';
import { z } from 'zod';
import {
  calendar,
  crossReference,
  family,
  type FamilyInput,
  id,
  person,
  procedure,
  recipe,
  type StoredCase,
  stockItem,
  tool,
  wrench,
} from '../../contract/index.ts';
import { type Group, GROUPS, OPTION_IDS, type OptionId } from '../../core/diagnose/index.ts';
import { UNIT_KINDS, type UnitObjectKind } from '../../core/vehicle/index.ts';
import { ruleProblem } from '../../core/house/index.ts';
import { checkProcedure } from '../../core/procedure/index.ts';
import { recipeProblems } from '../../core/relearn/index.ts';
import type { Services } from '../services.ts';
import { settingProblem } from '../store/settingKeys.ts';
import { actorOf, change, mustLead, shopItself } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const unit = z.strictObject({
  kind: z.enum(Object.keys(UNIT_KINDS) as [UnitObjectKind, ...UnitObjectKind[]]),
  place: z.string().max(60),
});
const finding = z.strictObject({
  // An attempt is a finding too: `tried:replace@idle-valve`.
  sign: z.string().min(1).max(80),
  outcome: id,
  unit: unit.nullish(),
  weight: z.number().min(0).max(1).optional(),
});
const writtenCase = z.strictObject({
  id,
  title: z.string().min(1).max(200),
  subject: z.strictObject({
    group: z.enum(Object.keys(GROUPS) as [Group, ...Group[]]),
    hasValve: z.boolean(),
    units: z.array(unit).max(20).optional(),
  }),
  told: z.array(finding).max(100),
  finds: z.array(finding).max(100),
  truth: z.array(z.string().max(120)).max(2),
  first: z.array(z.enum(OPTION_IDS as [OptionId, ...OptionId[]])).max(10),
  apart: z.boolean().default(false),
}) satisfies z.ZodType<StoredCase, unknown>;

const shop = z.strictObject({
  people: z.array(person).max(200),
  settings: z.record(z.string().max(60), z.string().max(2000)),
  wrenches: z.array(wrench).max(200),
  tools: z.array(tool).max(1000).default([]),
  calendar: calendar.optional(),
  stock: z.array(stockItem).max(5000),
  references: z.array(crossReference).max(5000).default([]),
  procedures: z.array(procedure).max(500),
  recipes: z.array(recipe).max(500).default([]),
  families: z.array(family).max(500).default([]),
  rules: z.record(id, id).default({}),
  cases: z.array(writtenCase).max(1000).default([]),
});

const calendarBody = z.strictObject({ by: id, calendar });

/** The shop: what it says of itself, the file that fills it, and health. */
export function shopRoutes(services: Services): Router {
  const { people, settings, tools, procedures, recipes, knowledge, families, house, stock, audit, now, oneGo } =
    services;
  const router = Router();
  router.get('/health', (_request, response) => {
    settings.read('shop-name');
    response.json({ ok: true });
  });
  router.get('/shop', (_request, response) => {
    response.json({
      settings: settings.shop(),
      people: people.all(),
      wrenches: tools.wrenches(),
      tools: tools.all(),
      calendar: settings.read('calendar'),
      rules: house.rules(),
      figures: settings.read('figures'),
      recipes: recipes.all(),
      now: now(),
      readOnly: services.keeper.readOnly,
    });
  });
  router.put(
    '/calendar',
    change(services, (request, actor) => {
      const { calendar: told } = parse(calendarBody, request.body);
      mustLead(actor, 'The opening hours');
      settings.setCalendar(told, actor);
      return { body: settings.read('calendar') };
    }),
  );
  // A shop file fills the store at once; a procedure that cannot be worked from refuses the whole file. In a shop that
  // has people it is for those who answer for it.
  router.put('/shop', (request, response) => {
    if (people.all().length > 0) mustLead(actorOf(services, request), 'What a shop file holds');
    const file = parse(shop, request.body);
    const fields = Object.fromEntries([
      ...Object.entries(file.settings).flatMap(([key, text]) => {
        const problem = settingProblem(key, text);
        return problem === null ? [] : [[`settings.${key}`, problem] as const];
      }),
      ...Object.entries(file.rules).flatMap(([question, answer]) => {
        const problem = ruleProblem(question, answer);
        return problem === null ? [] : [[`rules.${question}`, problem] as const];
      }),
      ...file.procedures.flatMap((each) =>
        checkProcedure(each).map((problem) => [`procedures.${each.id}`, problem] as const),
      ),
      ...file.recipes.flatMap((each) =>
        recipeProblems(each)
          .filter(({ level }) => level === 'wrong')
          .map(({ words }) => [`recipes.${each.id}`, words] as const),
      ),
    ]);
    const [first] = Object.values(fields);
    if (first !== undefined) throw new HttpError('bad-value', first, { fields });
    const who = shopItself(services);
    oneGo.run(() => {
      people.adopt(file.people);
      settings.adopt(file.settings);
      tools.adopt(file.wrenches, file.tools);
      audit.write(who, 'shop-file-read', 'shop', {});
      stock.adopt(
        file.stock.map(({ detail = {}, ...item }) => ({ ...item, detail })),
        who,
      );
      for (const reference of file.references) stock.refer(reference, who);
      for (const each of file.procedures) procedures.adopt(each, who);
      for (const each of file.recipes) recipes.adopt(each, who);
      if (file.calendar !== undefined) settings.setCalendar(file.calendar, who);
      // A shop file says how things are: what the lists held before makes way.
      for (const { id: familyId, ...input } of file.families)
        families.put(familyId, input as FamilyInput, families.version(familyId), who);
      for (const [question, answer] of Object.entries(file.rules)) house.setRule(question, answer, who);
      knowledge.putCases(file.cases);
    });
    response.json({ ok: true });
  });
  return router;
}
