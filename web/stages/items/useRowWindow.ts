import { computed, type ComputedRef, onBeforeUnmount, onMounted, type Ref, ref } from 'vue';

/** Rows kept ready above and below what is seen. */
const SPARE = 6;

/** The rows to draw of a long column. */
export interface RowWindow {
  readonly first: number;
  /** Exclusive. */
  readonly last: number;
}

/** Which rows are seen, given where the column's top lies against the scrolling box. Pure; pixels. */
export function windowOf(top: number, boxHeight: number, pitch: number, rows: number): RowWindow {
  const first = Math.max(0, Math.floor(-top / pitch) - SPARE);
  const last = Math.min(rows, Math.ceil((boxHeight - top) / pitch) + SPARE);
  return { first: Math.min(first, rows), last: Math.max(last, Math.min(first, rows)) };
}

const scrollerOf = (element: HTMLElement | null): HTMLElement | null => {
  for (let at = element?.parentElement ?? null; at !== null; at = at.parentElement) {
    if (/auto|scroll/.test(getComputedStyle(at).overflowY)) return at;
  }
  return null;
};

/**
 * Draws only the rows in sight: a tap must be on the screen in 50 ms with 150 items on a slow tablet.
 * `reveal` scrolls a row into sight without asking the page for its layout.
 */
export function useRowWindow(
  column: Ref<HTMLElement | null>,
  rows: ComputedRef<number>,
  pitch: number,
): { range: ComputedRef<RowWindow>; reveal: (row: number, where: 'nearest' | 'center') => void } {
  const top = ref(0);
  const height = ref(typeof window === 'undefined' ? 800 : window.innerHeight);
  let box: HTMLElement | null = null;
  let watcher: ResizeObserver | undefined;
  let offset = 0;

  const look = (): void => {
    if (box !== null) top.value = offset - box.scrollTop;
  };
  const measure = (): void => {
    if (box === null || column.value === null) return;
    height.value = box.clientHeight;
    offset = column.value.getBoundingClientRect().top - box.getBoundingClientRect().top + box.scrollTop;
    look();
  };
  onMounted(() => {
    box = scrollerOf(column.value);
    measure();
    box?.addEventListener('scroll', look, { passive: true });
    if (box !== null && typeof ResizeObserver !== 'undefined') {
      watcher = new ResizeObserver(measure);
      watcher.observe(box);
    }
  });
  onBeforeUnmount(() => {
    box?.removeEventListener('scroll', look);
    watcher?.disconnect();
  });

  function reveal(row: number, where: 'nearest' | 'center'): void {
    if (box === null || row < 0) return;
    const from = offset + row * pitch;
    const above = from - box.scrollTop;
    if (where === 'nearest' && above >= pitch && above + 2 * pitch <= height.value) return;
    box.scrollTop =
      from -
      (where === 'center' || above < 0 || above > height.value
        ? height.value / 2
        : above < pitch
          ? pitch
          : height.value - 3 * pitch);
    look();
  }
  return { range: computed(() => windowOf(top.value, height.value, pitch, rows.value)), reveal };
}
