<script setup lang="ts">
import { computed } from 'vue';
import type { Job, JobItem, Way } from '../../../core/job/index.ts';
import PictureAdd from '../pictures/PictureAdd.vue';
import SmallPicture from '../pictures/SmallPicture.vue';
import { apiUrl } from '../../data/world.ts';

/** How it sat before, seen when it goes back. */
const props = defineProps<{ job: Job; item: JobItem; way: Way }>();
const subject = computed(() => `item:${props.item.id}`);
const pictures = computed(() => props.job.pictures.filter((each) => each.subject === subject.value));
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <a v-for="picture in pictures" :key="picture.id" :href="apiUrl(`/pictures/${picture.hash}`)" target="_blank">
      <SmallPicture
        :hash="picture.hash"
        :alt="`${item.name}, ${picture.when}`"
        class="h-16 w-20 rounded-sm border border-line object-cover"
      />
    </a>
    <PictureAdd
      v-if="job.status === 'open'"
      :subject="subject"
      :when="way === 'strip' ? 'before' : 'after'"
      :caption="item.name"
    />
  </div>
</template>
