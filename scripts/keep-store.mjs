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
