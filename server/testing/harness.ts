import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import type { Express } from 'express';
import { pino } from 'pino';
import supertest from 'supertest';
import type { Procedure } from '../../core/procedure/index.ts';
import { shop } from '../../demo/shop.ts';
import { vehicles } from '../../demo/vehicles.ts';
import { AdapterHub } from '../adapter/hub.ts';
import type { RecorderClock } from '../adapter/recorder.ts';
import { createApp } from '../app.ts';
import { createServices, type Services } from '../services.ts';
import { openStore } from '../store/open.ts';

/** A real server over a real file, without a port of its own. */
export interface Harness {
  readonly db: Database;
  readonly app: Express;
  readonly services: Services;
  readonly folder: string;
  readonly file: string;
  readonly http: ReturnType<typeof supertest>;
  readonly send: (jobId: string, type: string, data: unknown, more?: object) => supertest.Test;
  readonly close: () => void;
}

export const NOW = '2026-05-13T13:09:00.000Z';
/** Tests write up what was done at any time; what is asked otherwise has tests of its own. */
const WRITTEN_UP = { late: 'written-up' };
/** All vehicles of the demo have been here before. */
const KNOWN_SINCE = '2020-01-01';
let count = 0;

/** Opens a store in a temporary folder, with the demo shop's lists in it unless `empty`. */
export async function harness({
  empty = false,
  now = NOW,
  clock,
}: {
  empty?: boolean;
  /** ISO time at which the clock stands, or a clock that goes. */
  now?: string | (() => string);
  /** Time of simulated vehicles; the world’s where left out. */
  clock?: RecorderClock;
} = {}): Promise<Harness> {
  // With a dot: a shop may keep its store in such a folder, and file servers pass over them.
  const folder = mkdtempSync(join(tmpdir(), '.uw-test-'));
  const file = join(folder, 'shop.sqlite');
  const db = openStore(file);
  const time = typeof now === 'string' ? () => now : now;
  const services = createServices(db, join(folder, 'pictures'), time, 'Europe/London', new AdapterHub([], clock));
  const app = createApp(services, pino({ level: 'silent' }), null);
  const http = supertest(app);
  if (!empty) {
    await http.put('/api/shop').send(shop).expect(200);
    for (const [id, vehicle] of Object.entries(vehicles))
      await http
        .put(`/api/vehicles/${id}`)
        .send({ by: 'isla', vehicle: { ...vehicle, knownSince: KNOWN_SINCE } })
        .expect(201);
  }
  return {
    db,
    app,
    services,
    folder,
    file,
    http,
    send: (jobId, type, data, more = {}) => {
      count += 1;
      return http
        .post(`/api/jobs/${jobId}/commands`)
        .send({ id: `cmd-${count}`, at: time(), by: 'tomas', seen: 0, type, data, ...WRITTEN_UP, ...more });
    },
    close: () => {
      db.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** Opens a job on the library bus. */
export const openJob = (server: Harness, jobId: string, more: object = {}): supertest.Test =>
  server.send(jobId, 'open-job', {
    vehicleId: 'bus',
    reading: { value: 148_220, unit: 'km' },
    readingReason: '',
    complaint: 'Hunts.',
    ...more,
  });

/** The id of any procedure of the demo. */
export const PROCEDURE: Procedure['id'] = shop.procedures[0]!.id;
