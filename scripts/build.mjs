// npm run build
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { say } from './lib/say.mjs';

await ensureInstalled();
say((await ensureBuilt()) ? 'Built into dist/.' : 'dist/ is up to date.');
