import { type Request, type Response, Router } from 'express';
import {
  drillDone,
  id,
  practiceAgain,
  practiceBegin,
  practiceBy,
  practiceDecided,
  practiceDeed,
  SCENARIO_FILE_VERSION,
  scenarioFile,
  type ScenarioFile,
} from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { groupOf } from '../../core/vehicle/index.ts';
import { scenarioFromJob } from '../../core/practice/index.ts';
import { PracticeError } from '../practice/errors.ts';
import type { Services } from '../services.ts';
import { type Actor, change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

/** Practice: what there is, jobs begun and ended, what was done at them, scenarios, drills, and how far each person is. */
export function practiceRoutes(services: Services): Router {
  const { practice, jobs, families, now } = services;
  const router = Router();

  const personIn = (query: unknown): string => parse(id, (query as { person?: unknown }).person ?? '');
  const isLead = (person: string): boolean => mayChange(services.people.roleOf(person) ?? 'apprentice');
  /** What is practised is shown to the person themselves and to a lead, one at a time: nobody is set beside another. */
  const mayBeSeen = (request: Request, person: string): string => {
    const { caller } = request;
    if (caller !== undefined && caller.personId !== person && !mayChange(caller.role))
      throw new HttpError('not-yours', 'What somebody else practises is between them and a lead.');
    return person;
  };
  /** What somebody practised is theirs; a lead may see to it. */
  const mustBeTheirs = (by: string, actor: Actor): void => {
    if (by !== actor.by) mustLead(actor, 'What somebody else practises');
  };

  router.get(
    '/practice',
    told((request) => {
      const person = mayBeSeen(request, personIn(request.query));
      return practice.home(person, isLead(person));
    }),
  );
  router.get(
    '/practice/progress',
    told((request) => {
      return practice.progress.of(mayBeSeen(request, personIn(request.query)));
    }),
  );
  router.get(
    '/practice/to-countersign',
    told(() => practice.toCountersign()),
  );

  router.post(
    '/practice/jobs',
    doing((request, actor) => {
      const { by: _, ...asked } = parse(practiceBegin, request.body);
      return { status: 201, body: { id: practice.begin(asked, actor.by) } };
    }),
  );
  router.get(
    '/practice/jobs/:id',
    told((request) => practice.reply(parse(id, request.params.id))),
  );
  router.get(
    '/practice/jobs/:id/review',
    told((request) => {
      const review = practice.review(parse(id, request.params.id));
      const caller = request.caller?.personId;
      // Whoever was at it too sees how it went.
      if (!review.entries.some(({ by }) => by === caller)) mayBeSeen(request, review.by);
      return review;
    }),
  );
  router.post(
    '/practice/jobs/:id/deeds',
    doing((request, actor) => {
      const deed = parse(practiceDeed, request.body);
      const which = parse(id, request.params.id);
      const body = practice.does(which, deed, actor.by);
      // What took its time has moved the practice clock on: whoever did it hears so at once.
      const { pace } = practice.world(which);
      request.res?.set({ 'x-shop-time': body.at, 'x-practice-pace': pace });
      return { status: 201, body };
    }),
  );
  router.post(
    '/practice/jobs/:id/end',
    doing((request, actor) => {
      const { causes } = parse(practiceDecided, request.body);
      return { body: practice.end(parse(id, request.params.id), causes, actor.at) };
    }),
  );
  router.post(
    '/practice/jobs/:id/stop',
    doing((request) => {
      parse(practiceBy, request.body);
      const which = parse(id, request.params.id);
      practice.stop(which);
      return { body: practice.reply(which) };
    }),
  );
  router.post(
    '/practice/jobs/:id/take-up',
    doing((request) => {
      parse(practiceBy, request.body);
      const which = parse(id, request.params.id);
      practice.takeUp(which);
      return { body: practice.reply(which) };
    }),
  );
  router.post(
    '/practice/jobs/:id/again',
    doing((request, actor) => {
      const { by: _, ...asked } = parse(practiceAgain, request.body);
      return { status: 201, body: { id: practice.again(parse(id, request.params.id), asked, actor.by) } };
    }),
  );
  router.post(
    '/practice/jobs/:id/countersign',
    doing((request, actor) => {
      parse(practiceBy, request.body);
      mustLead(actor, 'A countersignature');
      const which = parse(id, request.params.id);
      practice.countersign(which, actor);
      return { body: practice.reply(which) };
    }),
  );
  router.delete(
    '/practice/jobs/:id',
    doing((request, actor) => {
      const which = parse(id, request.params.id);
      mustBeTheirs(practice.row(which).by, actor);
      practice.drop(which);
      return { body: { gone: which } };
    }),
  );

  router.post(
    '/practice/scenarios',
    doing((request, actor) => {
      const { by: _, ...sent } = (request.body ?? {}) as Record<string, unknown>;
      mustBeReadable(sent);
      mustLead(actor, 'A scenario');
      const { scenario } = parse(scenarioFile, sent);
      return { status: 201, body: { key: practice.scenarios.keepScenario(scenario, actor) } };
    }),
  );
  router.get('/practice/scenarios/:key/file', (request, response) => {
    const file = inWords((): ScenarioFile => {
      const { id: _, tried, faults, ...scenario } = practice.scenarios.of(parse(id, request.params.key));
      return {
        format: 'unhurried-wrench-scenario',
        version: SCENARIO_FILE_VERSION,
        scenario: { ...scenario, faults: [...faults], tried: [...tried] },
      };
    });
    response.attachment('scenario.json').json(file);
  });
  router.post(
    '/practice/scenarios/from-job/:id',
    doing((request, actor) => {
      parse(practiceBy, request.body);
      mustLead(actor, 'A scenario');
      const job = jobs.job(parse(id, request.params.id));
      if (job === null) throw new HttpError('no-such-job', 'There is no such job.');
      const family = job.vehicle.familyId ? families.get(job.vehicle.familyId) : null;
      const made = scenarioFromJob(job, groupOf(job.vehicle, family), services.knowledge.newest());
      if (!made.ok) throw new HttpError('not-to-be-practised', made.message);
      const key = practice.scenarios.keepScenario(practice.scenarios.withSeed(made.scenario), actor);
      return { status: 201, body: { key } };
    }),
  );
  router.delete(
    '/practice/scenarios/:key',
    doing((request, actor) => {
      mustLead(actor, 'A scenario');
      const key = parse(id, request.params.key);
      practice.scenarios.dropScenario(key);
      return { body: { gone: key } };
    }),
  );

  router.post(
    '/practice/drills',
    doing((request, actor) => {
      const { drill, seed, right, of, seconds } = parse(drillDone, request.body);
      if (right > of)
        throw new HttpError('bad-value', 'More was right than was asked.', {
          fields: { right: `Expected at most ${of}.` },
        });
      practice.progress.drill(actor.by, drill, seed, right, of, seconds, now());
      return { status: 201, body: practice.progress.of(actor.by) };
    }),
  );
  return router;

  function doing(work: Parameters<typeof change>[1]) {
    return change(services, (request, actor) => inWords(() => work(request, actor)));
  }
}

/** Answers with what is read. */
function told(read: (request: Request) => unknown) {
  return (request: Request, response: Response): void => {
    response.json(inWords(() => read(request)));
  };
}

/** What practice refuses, as an answer. */
function inWords<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof PracticeError) throw new HttpError(error.code, error.message, { wouldHelp: error.wouldHelp });
    throw error;
  }
}

/** A file of a later version is told apart from one that is none. */
function mustBeReadable({ format, version }: Record<string, unknown>): void {
  if (format === 'unhurried-wrench-scenario' && typeof version === 'number' && version > SCENARIO_FILE_VERSION)
    throw new HttpError(
      'newer-file',
      `That scenario was written by a later version of the program (file version ${version}; this one reads up to ${SCENARIO_FILE_VERSION}).`,
      { wouldHelp: 'Bring this program up to date, or have it written by this version.' },
    );
}
