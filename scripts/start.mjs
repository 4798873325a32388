// npm start -- --data <store>: serves a store of your own; one that is not there yet is made, and begins with its first day.
// --network serves the workshop's own network by HTTPS; --proxy <address> a proxy on this machine; see docs/network.md.
import { mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { fail, root } from './lib/say.mjs';
import { keepServing } from './lib/serve.mjs';

const { values } = parseArgs({
  options: {
    data: { type: 'string' },
    port: { type: 'string' },
    network: { type: 'boolean', default: false },
    name: { type: 'string', multiple: true, default: [] },
    'new-authority': { type: 'boolean', default: false },
    proxy: { type: 'string' },
  },
});
const wanted = values.port ?? process.env.PORT;
if (wanted !== undefined && !/^\d{1,5}$/.test(wanted)) fail(`Expected a port number, got “${wanted}”.`);
const data = values.data === undefined ? join(root, 'var', 'shop.sqlite') : resolve(values.data);

await ensureInstalled();
await ensureBuilt();
mkdirSync(dirname(data), { recursive: true });
const more = [
  ...(values.network ? ['--network'] : []),
  ...values.name.flatMap((name) => ['--name', name]),
  ...(values['new-authority'] ? ['--new-authority'] : []),
  ...(values.proxy === undefined ? [] : ['--proxy', values.proxy]),
];
await keepServing({ data, wanted, firstPort: 4274, more });
