/** For component tests only: files share a window and their modules, so each leaves them as it found them. */
import { config, disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils';
import { disposePinia, getActivePinia, setActivePinia } from 'pinia';
import { afterAll, afterEach, vi } from 'vitest';

// The library lets it be enabled once, yet a hook belongs to the file that called for it.
disableAutoUnmount();
enableAutoUnmount(afterEach);
afterEach(() => {
  const pinia = getActivePinia();
  if (pinia) disposePinia(pinia);
  setActivePinia(undefined);
});
const untouched = { ...config.global };
afterAll(() => {
  config.global = { ...untouched };
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});
