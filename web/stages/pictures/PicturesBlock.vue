<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import type { Job, PictureRef, When } from '../../../core/job/index.ts';
import { useSession } from '../../stores/session.ts';
import PictureAdd from './PictureAdd.vue';
import CompareSlider from './CompareSlider.vue';
import SmallPicture from './SmallPicture.vue';
import PutRight from '../entries/PutRight.vue';

/** What draws is loaded when somebody draws. */
const PictureMarker = defineAsyncComponent(() => import('./PictureMarker.vue'));

/** Pictures of one unit: small copies to look through, the last of before and after against each other. */
const props = defineProps<{ job: Job; subject: string; what: string; when: When }>();
const PhoneInvite = defineAsyncComponent(() => import('../../outside/PhoneInvite.vue'));
const session = useSession();
const inviting = ref(false);
const marking = ref<string | null>(null);
const pictures = computed(() => props.job.pictures.filter(({ subject }) => subject === props.subject));
const last = (when: When): PictureRef | undefined => pictures.value.filter((each) => each.when === when).at(-1);
const pair = computed(() => {
  const [before, after] = [last('before'), last('after')];
  return before === undefined || after === undefined ? null : { before, after };
});
const marked = computed(() => props.job.pictures.find(({ id }) => id === marking.value) ?? null);
const saysOf = ({ marking: own }: PictureRef): string =>
  own === undefined
    ? ''
    : [own.marks.length === 0 ? '' : `${own.marks.length} marked`, own.anchors.length === 2 ? 'lined up' : '']
        .filter(Boolean)
        .join(', ');
</script>

<template>
  <section>
    <div class="flex flex-wrap items-center gap-3">
      <h3 class="text-sm font-bold">Pictures</h3>
      <PictureAdd
        v-if="job.status === 'open'"
        class="ml-auto"
        :subject="subject"
        :when="when"
        :caption="when === 'before' ? 'as it came off' : 'cleaned'"
      />
      <button
        v-if="job.status === 'open' && !session.open"
        type="button"
        class="quiet text-sm"
        @click="inviting = true"
      >
        With a phone
      </button>
      <PhoneInvite
        v-if="inviting"
        :job-id="job.id"
        :plate="job.vehicle.plate"
        :subject="subject"
        :what="what"
        :when="when"
        @close="inviting = false"
      />
    </div>
    <ul v-if="pictures.length > 0" class="mt-2 flex flex-wrap gap-3">
      <li v-for="picture in pictures" :key="picture.id" class="w-36">
        <button
          type="button"
          class="block w-full border border-line bg-band hover:border-bottle"
          :aria-label="`Mark the picture ${picture.when}, ${picture.caption}`"
          @click="marking = picture.id"
        >
          <SmallPicture
            :hash="picture.hash"
            :alt="`${what}, ${picture.when}: ${picture.caption}`"
            class="aspect-4/3 w-full object-cover"
          />
        </button>
        <p class="mt-1 text-sm text-soft">
          {{ picture.when }}{{ picture.caption ? `, ${picture.caption}` : ''
          }}<span v-if="saysOf(picture)" class="block">{{ saysOf(picture) }}</span>
        </p>
        <PutRight
          :job="job"
          kind="picture-attached"
          :holds="{ id: picture.id }"
          :what="picture.caption || `picture ${picture.when}`"
        />
      </li>
    </ul>
    <p v-else class="mt-1 text-soft">No picture yet. One before, one after, from the same place.</p>
    <CompareSlider v-if="pair" class="mt-4" :before="pair.before" :after="pair.after" :what="what" />
    <PictureMarker v-if="marked" :key="marked.id" :picture="marked" :what="what" @close="marking = null" />
  </section>
</template>
