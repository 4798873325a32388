// npm run adapter -- --vehicle van2 --port 4217: a stand-in for the diagnostic adapter on this machine.
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { node, root } from './lib/say.mjs';

await ensureInstalled();
await ensureBuilt();
const { code } = await node([join(root, 'dist/server/standIn.js'), ...process.argv.slice(2)], { show: true });
process.exit(code ?? 0);
