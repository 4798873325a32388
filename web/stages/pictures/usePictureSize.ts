import { ref, type Ref, watch } from 'vue';
import type { PictureSize } from '../../../core/job/index.ts';
import { apiUrl } from '../../data/world.ts';

/** The pixel size of a picture's screen copy; 4 : 3 until it is known. And whether it cannot be had at all. */
export function usePictureSize(hash: () => string | null): { size: Ref<PictureSize>; isLost: Ref<boolean> } {
  const size = ref<PictureSize>({ width: 1600, height: 1200 });
  const isLost = ref(false);
  watch(
    hash,
    (value) => {
      isLost.value = false;
      if (value === null) return;
      const image = new Image();
      image.onload = () => {
        if (image.naturalWidth > 0 && hash() === value)
          size.value = { width: image.naturalWidth, height: image.naturalHeight };
      };
      image.onerror = () => {
        if (hash() === value) isLost.value = true;
      };
      image.src = apiUrl(`/pictures/${value}`);
    },
    { immediate: true },
  );
  return { size, isLost };
}
