import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { serverBundle } from '../../scripts/lib/serverBundle.mjs';
import type { Programs } from './measuring/faults/kills.ts';

/** The programs bundled as they are shipped, for tests that start and kill them. */
export async function builtPrograms(): Promise<Programs & { readonly remove: () => void }> {
  const folder = mkdtempSync(join(process.cwd(), 'node_modules', '.cache', 'uw-programs-'));
  await build({
    entryPoints: ['server/main.ts', 'server/maintain.ts', 'server/keepingWorker.ts'],
    outdir: folder,
    ...serverBundle,
    splitting: true,
    logLevel: 'error',
  });
  cpSync('server/store/migrations', join(folder, 'migrations'), { recursive: true });
  return {
    main: join(folder, 'main.js'),
    maintain: join(folder, 'maintain.js'),
    remove: () => rmSync(folder, { recursive: true, force: true }),
  };
}
