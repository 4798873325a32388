// npm run demo: from a fresh clone to a running demo workshop.
import { existsSync, mkdirSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { fail, node, root, say } from './lib/say.mjs';
import { seed } from './lib/seed.mjs';
import { keepServing, startServer } from './lib/serve.mjs';

const FIRST_PORT = 4174;
const { values } = parseArgs({
  options: { fresh: { type: 'boolean', default: false }, port: { type: 'string' }, clock: { type: 'string' } },
});
const wanted = values.port ?? process.env.PORT;
if (wanted !== undefined && !/^\d{1,5}$/.test(wanted)) fail(`Expected a port number, got “${wanted}”.`);

const folder = join(root, 'var', 'demo');
const data = join(folder, 'shop.sqlite');

await ensureInstalled();
await ensureBuilt();
if (values.fresh) {
  const { code, out } = await node([join(root, 'dist/server/maintain.js'), 'held', data]);
  if (code !== 0) fail(out.trim());
  say('Removing the old demo workshop …');
  rmSync(folder, { recursive: true, force: true });
}
if (!existsSync(data)) await makeDemo();
await keepServing({ data, wanted, firstPort: FIRST_PORT, clock: values.clock });

/** Seeded aside and moved into place, so that an interrupted seeding never looks like a demo. */
async function makeDemo() {
  say('Filling the demo workshop: ten vehicles, eight jobs, seven procedures …');
  mkdirSync(join(root, 'var'), { recursive: true });
  const aside = mkdtempSync(join(root, 'var', 'seeding-'));
  const server = await startServer({ data: join(aside, 'shop.sqlite'), clock: values.clock });
  try {
    await seed(server.address, values.clock ? Date.parse(values.clock) : Date.now());
  } finally {
    await server.stop();
  }
  rmSync(folder, { recursive: true, force: true });
  renameSync(aside, folder);
}
