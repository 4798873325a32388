import { nextTick, watch } from 'vue';
import { useRoute } from 'vue-router';

/** Brings the part of a stage that the address names into view, and the focus with it. */
export function useSpot(): void {
  // A stage may be shown by itself, without a router round it.
  const route: { readonly hash: string } | undefined = useRoute();
  watch(
    () => route?.hash ?? '',
    async (hash) => {
      if (hash === '') return;
      await nextTick();
      const spot = document.getElementById(hash.slice(1));
      if (spot === null) return;
      spot.scrollIntoView({ block: 'start' });
      const field = spot.querySelector<HTMLElement>('input, select, textarea, button');
      if (field !== null) field.focus({ preventScroll: true });
      else {
        spot.tabIndex = -1;
        spot.focus({ preventScroll: true });
      }
    },
    { immediate: true, flush: 'post' },
  );
}
