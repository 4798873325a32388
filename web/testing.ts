/** For component tests only: a server that answers from a table, and a job on the screen. */
import { PiniaColada } from '@pinia/colada';
import { config, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { vi } from 'vitest';
import { ref } from 'vue';
import type { BayLine, Change, DayReply, JobSummary, StockItem } from '../contract/index.ts';
import { bayState, leftOf, needsBay, standsInside, usualSkills } from '../core/bay/index.ts';
import {
  type CommandBody,
  currentStage,
  type Job,
  jobMayStart,
  jobTally,
  runningTimers,
  timerEnd,
} from '../core/job/index.ts';
import { play } from '../core/job/testing/play.ts';
import { open } from '../core/job/testing/samples.ts';
import { useJob } from './stores/job.ts';
import { useShop } from './stores/shop.ts';

/** A request that a component made. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

const answer = (status: number, body: unknown): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });

/** A refusal as the server words it. */
export const refusal = (status: number, message: string, fields: Readonly<Record<string, string>> = {}): Response =>
  answer(status, { error: { code: 'refused', message, fields, wouldHelp: '' } });

/** The refusal of a save over a newer row, which Isla saved. */
export const movedOn = (version: number, row: unknown): Response =>
  answer(409, {
    error: {
      code: 'row-moved-on',
      message: 'It was changed meanwhile.',
      fields: {},
      wouldHelp: '',
      newer: {
        version,
        row,
        changed: { id: 7, at: '2026-05-13T12:00:00.000Z', by: 'isla', kind: 'family-changed', body: row },
      },
    },
  });

/**
 * Answers requests from a table of “METHOD /path”, with what is asked in it or without; what is not in it is 404.
 * @returns what was asked, in order
 */
export function serve(replies: Readonly<Record<string, unknown>>): Asked[] {
  const asked: Asked[] = [];
  vi.stubGlobal('fetch', async (path: string, init?: { method?: string; body?: string }) => {
    const method = init?.method ?? 'GET';
    const body: unknown = typeof init?.body === 'string' ? JSON.parse(init.body) : null;
    asked.push({ method, path, body });
    const reply = replies[`${method} ${path}`] ?? replies[`${method} ${path.split('?')[0]}`];
    const value: unknown = typeof reply === 'function' ? (reply as (body: unknown) => unknown)(body) : reply;
    if (value instanceof Response) return value;
    return value === undefined ? refusal(404, `nothing at ${path}`) : answer(200, value);
  });
  return asked;
}

/** Fresh stores with two people at the bench; Tomas is picked. */
export function freshShop(): void {
  const pinia = createPinia();
  setActivePinia(pinia);
  config.global.plugins = [pinia, [PiniaColada, { pinia }]];
  localStorage.clear();
  const shop = useShop();
  shop.people = [
    { id: 'tomas', name: 'Tomas Virk', role: 'technician', bay: 'bay 2' },
    { id: 'isla', name: 'Isla Renn', role: 'lead', bay: 'bay 1' },
  ];
  shop.personId = 'tomas';
}

/** Puts a job into the store; what is sent is decided for real and kept for looking at. */
export function showJob(bodies: readonly CommandBody[]): {
  readonly job: () => Job;
  readonly sent: { readonly type: string; readonly data: unknown }[];
} {
  const store = useJob();
  store.id = 'j';
  store.confirmed = play(bodies).job;
  const sent: { type: string; data: unknown }[] = [];
  const real = store.send;
  vi.spyOn(store, 'send').mockImplementation((type, data) => {
    const refused = real(type, data);
    if (refused === null) sent.push({ type, data });
    return refused;
  });
  return {
    job: () => {
      if (store.job === null) throw new Error('no job');
      return store.job;
    },
    sent,
  };
}

interface Found {
  readonly findAll: (selector: string) => { text: () => string; trigger: (event: string) => Promise<void> }[];
}

/** Presses the first button that says so. @throws Error when there is none */
export async function press(wrapper: Found, words: string): Promise<void> {
  const found = wrapper.findAll('button').find((each) => each.text().includes(words));
  if (found === undefined) throw new Error(`no button says “${words}”`);
  await found.trigger('click');
}

interface Fielded {
  readonly findAll: (selector: string) => { text: () => string; attributes: (name: string) => string | undefined }[];
}

/** Selector of the field whose label begins so, or whose accessible name is that. @throws Error when there is none */
export function field(wrapper: Fielded, label: string): string {
  const found = wrapper.findAll('label').find((each) => each.text().startsWith(label));
  const id = found?.attributes('for');
  if (id === undefined) throw new Error(`no field is labelled “${label}”`);
  return `[id="${id}"]`;
}

interface Picking extends Fielded {
  readonly find: (selector: string) => {
    setValue: (value: string) => Promise<void>;
    trigger: (event: string) => Promise<void>;
  };
}

/** Types into the field that picks one of many, and picks what says so. @throws Error when nothing does */
export async function pick(wrapper: Found & Picking, label: string, typed: string, words: string): Promise<void> {
  const input = wrapper.find(field(wrapper, label));
  await input.trigger('focus');
  await input.setValue(typed);
  await vi.waitFor(() => {
    if (!wrapper.findAll('[role="option"]').some((each) => each.text().includes(words)))
      throw new Error(`nothing to pick says “${words}”`);
  });
  const options: ReturnType<Found['findAll']> = wrapper.findAll('[role="option"]');
  await options.find((each) => each.text().includes(words))!.trigger('mousedown');
}

/** Text with its white space as a person reads it. */
export const read = (wrapper: { text: () => string }): string => wrapper.text().replace(/\s+/g, ' ');

/** Stubs of what needs a router or a page. */
export const stubs = {
  RouterLink: RouterLinkStub,
  SheetDialog: { template: '<div><slot /></div>' },
  PictureAdd: true,
  teleport: true,
};

/** What the drawing package says of a picture that is still on its way. */
export const noImage = () => [ref(null), ref('loading')];

/** A thing in stock; what a test does not care about is plain. */
export const stockItem = (own: Partial<StockItem> = {}): StockItem => ({
  id: 's',
  name: 'Gasket',
  partNumber: '',
  kind: 'gasket',
  place: 'drawer 4',
  priceMinor: 640,
  detail: {},
  left: 3,
  reserved: [],
  free: 3,
  reorder: { point: null, perMonth: 0, words: '' },
  version: 1,
  onOrder: [],
  batches: [],
  ...own,
});

/** A change stream that the test speaks into; put in the place of `EventSource`. */
export class FakeStream {
  static readonly all: FakeStream[] = [];
  onopen: (() => void) | null = null;
  onmessage: ((message: { data: string }) => void) | null = null;
  closed = false;
  readonly url: string;
  constructor(url: string) {
    this.url = url;
    FakeStream.all.push(this);
  }
  close(): void {
    this.closed = true;
  }
  /** Tells whoever listens to the newest stream. */
  static say(change: Change): void {
    FakeStream.all.at(-1)?.onmessage?.({ data: JSON.stringify(change) });
  }
}

/** A job's line as the server gives it. */
export const summaryOf = (job: Job): JobSummary => ({
  id: job.id,
  number: job.number,
  vehicleId: job.vehicle.id,
  plate: job.vehicle.plate,
  name: job.vehicle.model,
  status: job.status,
  stage: currentStage(job),
  openedAt: job.opened.at,
  lastAt: job.lastAt,
  lastWords: job.last?.words ?? '',
  lastBy: job.last?.by ?? '',
  reading: job.reading.value,
  readingUnit: job.reading.unit,
  decision: '',
  itemsOff: jobTally(job).itemsOff.length,
  held: !jobMayStart(job).may,
  assigned: job.assigned?.to ?? null,
  aside: job.aside === null ? null : { until: job.aside.until, why: job.aside.why },
  cancelled: job.cancelled?.why ?? null,
});

/** The day as the server answers it: jobs by their id with what was done on them, two people, nothing kept. */
export function dayReply(
  jobs: Readonly<Record<string, readonly CommandBody[]>>,
  more: Partial<DayReply> = {},
): DayReply {
  return {
    now: '2026-05-13T08:12:00.000Z',
    bays: 3,
    pause: null,
    people: useShop().here.map(({ id, role }) => ({ id, does: usualSkills(role), hours: null })),
    absences: [],
    longer: [],
    wishes: [],
    pace: [],
    plan: null,
    done: [],
    ...more,
    jobs: Object.entries(jobs).map(([jobId, bodies]) => {
      const job = play([open, ...bodies]).job!;
      return {
        jobId,
        left: leftOf(job),
        needsBay: needsBay(job),
        inside: standsInside(job),
        promised: job.promise?.ready ?? null,
        promisedTold: job.promise?.told ?? null,
        assigned: null,
        lastBy: 'tomas',
        aside: null,
        part: null,
      };
    }),
  };
}

/** An open job's line in the Bay, after some commands. */
export function bayLine(id: string, ...bodies: readonly CommandBody[]): BayLine {
  const job = play([open, ...bodies]).job!;
  return {
    jobId: id,
    job: { ...summaryOf(job), id, plate: `AB ${id}` },
    nickname: 'Sule',
    ...bayState(job),
    waits: runningTimers(job).map((timer) => ({ label: timer.label, startedAt: timer.at, endsAt: timerEnd(timer) })),
    stretches: [],
  };
}
