// npm run dev: the interface with instant reload, over the demo store.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { bin, fail, node, root, say } from './lib/say.mjs';
import { startServer } from './lib/serve.mjs';

const API_PORT = 4199;
await ensureInstalled();
await ensureBuilt();
const data = join(root, 'var', 'demo', 'shop.sqlite');
if (!existsSync(data)) fail('There is no demo store yet. Run npm run demo once.');
const server = await startServer({ data, port: API_PORT }).catch((error) => fail(error.message));
say(`The store is served at ${server.address}; changes in web/ show at once, changes in server/ need a restart.`);
const { code } = await node([bin('vite/bin/vite.js')], { show: true, env: { UW_API_PORT: String(API_PORT) } });
await server.stop();
process.exit(code);
