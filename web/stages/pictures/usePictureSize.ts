import { ref, type Ref, watch } from 'vue';

/** The pixel size of a picture's screen copy; 4 : 3 until it is known. */
export function usePictureSize(hash: () => string | null): Ref<{ width: number; height: number }> {
  const size = ref({ width: 1600, height: 1200 });
  watch(
    hash,
    (value) => {
      if (value === null) return;
      const image = new Image();
      image.onload = () => {
        if (image.naturalWidth > 0 && hash() === value)
          size.value = { width: image.naturalWidth, height: image.naturalHeight };
      };
      image.src = `/api/pictures/${value}`;
    },
    { immediate: true },
  );
  return size;
}
