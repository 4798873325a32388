// npm run keep-store: keeps the demo workshop as this version writes it, with what this version says of every job, for
// later versions to be tested by. Run once, when a version is finished.
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { bin, root, say } from './lib/say.mjs';
import { seed } from './lib/seed.mjs';
import { startServer } from './lib/serve.mjs';

const MOMENT = '2026-05-13T13:09:00.000Z';
await ensureInstalled();
await ensureBuilt();
const { version } = JSON.parse(readFileSync(join(root, 'package.json'), 'utf8'));
const kept = join(root, 'server/testing/stores', version);
if (existsSync(kept)) {
  say(
    `The store of ${version} is kept already. A version that was released does not change; give the next its number.`,
  );
  process.exit(1);
}
const folder = mkdtempSync(join(tmpdir(), 'unhurried-wrench-keep-'));
const server = await startServer({ data: join(folder, 'shop.sqlite'), clock: MOMENT });
await seed(server.address, Date.parse(MOMENT));
await letIn(server.address);
await server.stop();

const { build } = await import(pathToFileURL(bin('esbuild/lib/main.js')).href);
// Bundled beside node_modules, so that packages resolve.
const out = join(root, 'dist/keep/keep.js');
await build({
  entryPoints: [join(root, 'server/testing/keepStore.ts')],
  outfile: out,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
cpSync(join(root, 'server/store/migrations'), join(root, 'dist/keep/migrations'), { recursive: true });
const { writeFacts } = await import(pathToFileURL(out).href);
const jobs = writeFacts(folder);
mkdirSync(kept, { recursive: true });
// The lock and the log of the server stay behind.
for (const name of readdirSync(folder))
  if (['shop.sqlite', 'pictures', 'facts.json'].includes(name))
    cpSync(join(folder, name), join(kept, name), { recursive: true });
rmSync(folder, { recursive: true, force: true });
say(`The store of ${version} is kept, with what it says of ${jobs} jobs.`);

/** What the demo world does not have: an apprentice's entry with a name beside it, and people who sign in. */
async function letIn(address) {
  let cookie = '';
  let token = '';
  const ask = async (method, path, body) => {
    const reply = await fetch(`${address}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', cookie, 'x-wrench-token': token },
      body: JSON.stringify(body),
    });
    const set = reply.headers.get('set-cookie');
    if (set?.startsWith('wrench-session=')) cookie = set.split(';')[0];
    const told = await reply.json();
    if (!reply.ok) throw new Error(`${method} ${path}: ${told.error.message}`);
    return told;
  };
  const at = MOMENT;
  const send = (by, type, data) =>
    ask('POST', '/jobs/looked-at/commands', {
      id: `looked-at-${type}`,
      at,
      by,
      seen: 0,
      late: 'written-up',
      type,
      data,
    });
  const reading = { value: 400_000, unit: 'km' };
  await send('wen', 'open-job', {
    vehicleId: 'van3',
    reading,
    readingReason: 'cluster replaced',
    complaint: 'It hunts.',
  });
  const hose = { id: 'hose', name: 'Lower coolant hose', kind: 'coolant-hose', tool: '', note: '', opens: [] };
  const rest = { fasteners: null, singleUse: false, partNumber: '', unit: null, cautions: [] };
  await send('wen', 'add-item', { item: { ...hose, ...rest } });
  const { events } = await send('wen', 'remove-item', { itemId: 'hose', pocket: '', label: '', countedOut: null });
  const seqs = events.find(({ type }) => type === 'countersign-asked').data.seqs;
  await send('tomas', 'countersign', { seqs, handOver: false });
  await ask('PUT', '/people/isla/password', { by: 'isla', password: 'three words and a quay' });
  const session = await fetch(`${address}/api/session`, { headers: { cookie } });
  ({ token } = await session.json());
  await ask('POST', '/stations', { by: 'isla', name: 'tablet at bay 1' });
  await ask('POST', '/jobs/looked-at/links', { by: 'isla', kind: 'sheet', days: 14 });
}
