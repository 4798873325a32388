import { shallowRef } from 'vue';

/** Changes to a newer program that is here already; null while there is none. */
export const newVersionReady = shallowRef<(() => void) | null>(null);
