import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import type { Change } from '../../../contract/index.ts';
import { cableProcedure } from '../../../demo/procedures/cable.ts';
import { createApp } from '../../app.ts';
import { type Measured, ms, percentile } from './measure.ts';
import { command, fresh, openedJob } from './store.ts';

const STATIONS = 20;
const COMMANDS = 25;

/**
 * Twenty stations on twenty jobs, each listening to the shop and tapping about twice a second; and how long
 * after a command a second station on the same job has heard of it and read what changed.
 */
export async function manyStations(folder: string): Promise<Measured[]> {
  const { services, db } = fresh(folder, 'stations.sqlite');
  for (let station = 0; station < STATIONS; station += 1) openedJob(services, `job${station}`, 1000 + station);
  const server = createServer(createApp(services, pino({ level: 'silent' }), null)).listen(0, '127.0.0.1');
  await new Promise((resolve) => setTimeout(resolve, 50));
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const closing = new AbortController();
  const send = async (jobId: string, id: string, index: number): Promise<number> => {
    const item = cableProcedure.items[index % cableProcedure.items.length]!;
    const from = performance.now();
    const reply = await fetch(`${address}/api/jobs/${jobId}/commands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(command(id, 'remark-item', { itemId: item.id, pocket: `P${index}`, label: '', remark: '' })),
    });
    await reply.text();
    if (!reply.ok) throw new Error(`measuring: ${reply.status}`);
    return performance.now() - from;
  };
  const heard: number[] = [];
  let sentAt = 0;
  const listen = async (jobId: string, times: boolean): Promise<void> => {
    const reply = await fetch(`${address}/api/changes`, { signal: closing.signal });
    const decoder = new TextDecoder();
    let seen = services.jobs.job(jobId)?.version ?? 0;
    for await (const chunk of reply.body ?? []) {
      const words = [...decoder.decode(chunk as Uint8Array).matchAll(/data: (.+)/g)];
      const changes = words.map(([, json]) => JSON.parse(json ?? '') as Change);
      const version = Math.max(...changes.map((each) => (each.kind === 'job' && each.id === jobId ? each.version : 0)));
      if (!times || version <= seen) continue;
      await (await fetch(`${address}/api/jobs/${jobId}?since=${seen}`)).json();
      seen = version;
      heard.push(performance.now() - sentAt);
    }
  };
  const quietly = (listening: Promise<void>): void => void listening.catch(() => undefined);
  for (let station = 0; station < STATIONS; station += 1) quietly(listen(`job${station}`, false));
  await new Promise((resolve) => setTimeout(resolve, 200));
  const taken = await Promise.all(
    Array.from({ length: STATIONS }, async (_, station) => {
      const times: number[] = [];
      for (let index = 0; index < COMMANDS; index += 1) {
        times.push(await send(`job${station}`, `m${station}-${index}`, index));
        await new Promise((resolve) => setTimeout(resolve, 400 + ((station * 37 + index * 53) % 200)));
      }
      return times.slice(5);
    }),
  );
  quietly(listen('job0', true));
  await new Promise((resolve) => setTimeout(resolve, 100));
  for (let index = 0; index < 20; index += 1) {
    sentAt = performance.now();
    await send('job0', `live-${index}`, 100 + index);
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
  closing.abort();
  server.closeAllConnections();
  server.close();
  db.close();
  const p95 = percentile(taken.flat(), 0.95);
  const live = percentile(heard, 0.95);
  return [
    { what: '20 stations on 20 jobs: a command, p95', measured: ms(p95), wanted: '< 100 ms', met: p95 < 100 },
    {
      what: 'a second station has read the change, p95',
      measured: `${ms(live)} (${heard.length} of 20 heard)`,
      wanted: '< 1000 ms',
      met: live < 1000 && heard.length >= 19,
    },
  ];
}
