import { gzipSync } from 'node:zlib';
import type { Database } from 'better-sqlite3';
import type supertest from 'supertest';
import type { Harness } from './harness.ts';

/** Where the routes of each part of the application hang, and what stands for their parameters. */
export const ROUTES: readonly (readonly ['post' | 'put', string])[] = [
  ['post', '/job-files?by=isla'],
  ['post', '/jobs/j/commands'],
  ['put', '/vehicles/bus'],
  ['post', '/vehicles/bus/merge'],
  ['put', '/procedures/cable-rotary'],
  ['put', '/recipes/fan-hold'],
  ['post', '/recipes/files'],
  ['put', '/families/norrland-25'],
  ['put', '/units/bus-tb'],
  ['post', '/units/bus-tb/life'],
  ['post', '/knowledge'],
  ['post', '/knowledge/trials'],
  ['post', '/adapter/read'],
  ['post', '/adapter/clear'],
  ['post', '/adapter/recordings'],
  ['post', '/adapter/recordings/r/steps'],
  ['post', '/adapter/recordings/r/end'],
  ['post', '/adapter/recordings/act'],
  ['put', '/instruments/scale-1/station'],
  ['put', '/instruments/scale-1/shows'],
  ['put', '/house-rules/where'],
  ['put', '/figures/soak-minutes'],
  ['put', '/people/wen'],
  ['post', '/people/wen/leave'],
  ['put', '/wrenches/w'],
  ['put', '/tools/t'],
  ['post', '/starter'],
  ['put', '/settings'],
  ['put', '/settings/measures'],
  ['put', '/stock/g-body'],
  ['post', '/stock/g-body/movements'],
  ['post', '/stock/g-body/orders'],
  ['post', '/orders/o/received'],
  ['put', '/references'],
  ['post', '/air'],
  ['put', '/air'],
  ['put', '/calendar'],
  ['put', '/due/bus'],
  ['post', '/follow-ups/j'],
  ['post', '/lessons/l/answers'],
  ['post', '/practice/jobs'],
  ['post', '/practice/jobs/p/deeds'],
  ['post', '/practice/jobs/p/end'],
  ['post', '/practice/jobs/p/stop'],
  ['post', '/practice/jobs/p/take-up'],
  ['post', '/practice/jobs/p/again'],
  ['post', '/practice/jobs/p/countersign'],
  ['post', '/practice/scenarios'],
  ['post', '/practice/scenarios/from-job/j'],
  ['post', '/practice/drills'],
  ['post', '/signed-files/looks'],
  ['post', '/signed-files'],
  ['put', '/shops/0000'],
  ['post', '/supplier/orders'],
  ['post', '/feeds'],
  ['post', '/feeds/f/withdraw'],
  ['put', '/day/plan'],
  ['put', '/day/wishes'],
  ['put', '/day/longer'],
  ['put', '/day/figures'],
  ['put', '/absences/a'],
  ['put', '/shop?by=isla'],
  ['put', '/keeping'],
  ['post', '/procedures/files'],
  ['post', '/reminders/j/r/done'],
  ['post', '/returns/j/r/sent'],
  ['post', '/session'],
  ['post', '/session/hands'],
  ['put', '/people/wen/password'],
  ['put', '/people/wen/pin'],
  ['post', '/people/wen/unlock'],
  ['post', '/people/wen/sign-out'],
  ['post', '/stations'],
  ['post', '/stations/s/strike'],
  ['post', '/jobs/j/links'],
  ['post', '/links/l/withdraw'],
  ['post', '/for/a-token-that-nobody-has/answer'],
  ['post', '/jobs/j/phones'],
  ['post', '/phones'],
  ['post', '/jobs/j/countersign'],
];

/** Bodies that no route can read: how they are sent, and what the answer says. */
export const BODIES: readonly (readonly [string, Readonly<Record<string, string>>, Buffer | string, RegExp])[] = [
  ['no body at all', {}, '', /Expected JSON|not in the list|expected/i],
  ['text', { 'content-type': 'text/plain' }, 'hello', /Expected JSON|not in the list/],
  ['a form', { 'content-type': 'application/x-www-form-urlencoded' }, 'by=isla&a=1', /Expected JSON|not in the list/],
  ['JSON that is cut', { 'content-type': 'application/json' }, '{"by": "isla", ', /not valid JSON/],
  ['a list', { 'content-type': 'application/json' }, '[1, 2]', /./],
  ['a bare word', { 'content-type': 'application/json' }, '"isla"', /not valid JSON/],
  ['nothing known', { 'content-type': 'application/json' }, '{"by": "isla", "surprise": 1}', /./],
  ['a charset of another age', { 'content-type': 'application/json; charset=ebcdic' }, '{}', /character set/],
  [
    'a packing that nobody knows',
    { 'content-type': 'application/json', 'content-encoding': 'lzx' },
    '{}',
    /packed in a way/,
  ],
  [
    'rubbish said to be packed',
    { 'content-type': 'application/json', 'content-encoding': 'gzip' },
    'not packed',
    /cannot be unpacked/,
  ],
  [
    'rubbish said to be deflated',
    { 'content-type': 'application/json', 'content-encoding': 'deflate' },
    'xxxx',
    /cannot be unpacked/,
  ],
  [
    'rubbish said to be brotli',
    { 'content-type': 'application/json', 'content-encoding': 'br' },
    'yyyyyyyy',
    /cannot be unpacked/,
  ],
  [
    'a packed body that is cut',
    { 'content-type': 'application/json', 'content-encoding': 'gzip' },
    gzipSync('{"by": "isla"}').subarray(0, 18),
    /cannot be unpacked|ended before/,
  ],
  [
    'bytes that are no text',
    { 'content-type': 'application/json' },
    Buffer.from([0xff, 0xfe, 0x7b, 0x00]),
    /not valid JSON/,
  ],
];

/** Sends a body as it is, whatever it is said to be. */
export function sendBody(
  http: Harness['http'],
  method: 'post' | 'put',
  path: string,
  headers: Readonly<Record<string, string>>,
  body: Buffer | string,
): supertest.Test {
  const request = http[method](`/api${path}`);
  for (const [name, value] of Object.entries(headers)) request.set(name, value);
  return body === '' ? request : request.serialize((raw: unknown) => raw as string).send(body as string);
}

/** How much there is of all that a request could add to. */
export const fingerprintOf = (db: Database): unknown =>
  ['event', 'audit', 'vehicle', 'stock_movement', 'setting', 'person', 'access_line', 'account', 'station', 'link'].map(
    (table) => db.prepare(`SELECT COUNT(*) AS n FROM ${table}`).get(),
  );
