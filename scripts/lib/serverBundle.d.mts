import type { BuildOptions } from 'esbuild';

export const serverBundle: BuildOptions;
