// Builds the server bundle, the seeding bundle and the interface, only when their sources changed.
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bin, fail, node, root, say } from './say.mjs';
import { serverBundle } from './serverBundle.mjs';

const dist = join(root, 'dist');
const stamp = join(dist, '.built-from');
const sources = [
  'core',
  'contract',
  'server',
  'web',
  'demo',
  'package-lock.json',
  'vite.config.ts',
  'scripts/lib/build.mjs',
  'scripts/lib/serverBundle.mjs',
];

function hashOf(paths) {
  const hash = createHash('sha256');
  const walk = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) walk(join(path, name));
    } else if (!/\.(test|spec)\.ts$/.test(path)) {
      hash.update(path.slice(root.length)).update(readFileSync(path));
    }
  };
  for (const path of paths) walk(join(root, path));
  return hash.digest('hex');
}

/** Builds what is out of date. @returns {Promise<boolean>} whether anything was built */
export async function ensureBuilt() {
  const now = hashOf(sources);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return false;
  say('Building …');
  rmSync(dist, { recursive: true, force: true });
  mkdirSync(dist, { recursive: true });
  const [web] = await Promise.all([node([bin('vite/bin/vite.js'), 'build']), buildServer()]);
  if (web.code !== 0) fail('The interface did not build.', web.out);
  writeFileSync(stamp, now);
  return true;
}

async function buildServer() {
  const { build } = await import(pathToFileURL(bin('esbuild/lib/main.js')).href);
  const shared = { ...serverBundle, logLevel: 'warning', sourcemap: true };
  await build({
    ...shared,
    entryPoints: ['server/main.ts', 'server/maintain.ts', 'server/standIn.ts', 'server/keepingWorker.ts'].map((path) =>
      join(root, path),
    ),
    outdir: join(dist, 'server'),
    splitting: true,
    chunkNames: '[name]-[hash]',
  });
  await build({ ...shared, entryPoints: [join(root, 'demo/seed.ts')], outdir: join(dist, 'demo') });
  cpSync(join(root, 'server/store/migrations'), join(dist, 'server/migrations'), { recursive: true });
}
