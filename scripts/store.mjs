// npm run verify | backup | restore | rebuild -- paths
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { node, root } from './lib/say.mjs';

await ensureInstalled();
await ensureBuilt();
const { code } = await node([join(root, 'dist/server/maintain.js'), ...process.argv.slice(2)], { show: true });
process.exit(code);
