/** For component tests only: a server that answers from a table, and a job on the screen. */
import { RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { vi } from 'vitest';
import type { StockItem } from '../contract/index.ts';
import type { CommandBody, Job } from '../core/job/index.ts';
import { play } from '../core/job/testing/play.ts';
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
 * Answers requests from a table of “METHOD /path”; what is not in it is 404.
 * @returns what was asked, in order
 */
export function serve(replies: Readonly<Record<string, unknown>>): Asked[] {
  const asked: Asked[] = [];
  vi.stubGlobal('fetch', async (path: string, init?: { method?: string; body?: string }) => {
    const method = init?.method ?? 'GET';
    const body: unknown = typeof init?.body === 'string' ? JSON.parse(init.body) : null;
    asked.push({ method, path, body });
    const reply = replies[`${method} ${path}`];
    const value: unknown = typeof reply === 'function' ? (reply as (body: unknown) => unknown)(body) : reply;
    if (value instanceof Response) return value;
    return value === undefined ? refusal(404, `nothing at ${path}`) : answer(200, value);
  });
  return asked;
}

/** Fresh stores with two people at the bench; Tomas is picked. */
export function freshShop(): void {
  setActivePinia(createPinia());
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

/** Text with its white space as a person reads it. */
export const read = (wrapper: { text: () => string }): string => wrapper.text().replace(/\s+/g, ' ');

/** Stubs of what needs a router or a page. */
export const stubs = {
  RouterLink: RouterLinkStub,
  SheetDialog: { template: '<div><slot /></div>' },
  PictureAdd: true,
  teleport: true,
};

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
