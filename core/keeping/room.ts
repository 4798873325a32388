/** Below this much room on the disk the shop is told, while there is time to make some: some hundred photos. */
export const LOW_BYTES = 1_000_000_000;
/** Below this no photo is taken in any more, so that what is typed still finds room for a long while. */
export const LAST_BYTES = 64_000_000;

/** How the disk stands: well, low, or with room for what is typed alone. */
export type DiskRoom = 'well' | 'low' | 'last';

/** @param freeBytes room on the disk that holds the store; null where the machine does not say */
export function diskRoom(freeBytes: number | null): DiskRoom {
  if (freeBytes === null || freeBytes >= LOW_BYTES) return 'well';
  return freeBytes >= LAST_BYTES ? 'low' : 'last';
}

const STEPS = [
  [1e9, 'GB'],
  [1e6, 'MB'],
  [1e3, 'kB'],
] as const;

/** Bytes as people say them, in decimal units: `1.2 GB`, `340 MB`, `12 kB`, `0 kB`. */
export function sayBytes(bytes: number): string {
  const [size, unit] = STEPS.find(([step]) => bytes >= step) ?? [1e3, 'kB'];
  const value = bytes / size;
  return `${value >= 10 || unit === 'kB' ? Math.round(value) : Math.round(value * 10) / 10} ${unit}`;
}
