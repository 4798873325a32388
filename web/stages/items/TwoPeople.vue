<script setup lang="ts">
import { computed } from 'vue';
import { itemOf, type Job, nextBack, nextOffFor, peopleAtIt, type Way } from '../../../core/job/index.ts';
import { useMinute } from '../../stores/clock.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';

/** Two at one vehicle: who has what in hand, and a step for this person that nothing ties to theirs. */
const props = defineProps<{ job: Job; way: Way }>();
const emit = defineEmits<{ choose: [id: string] }>();
const store = useJob();
const shop = useShop();
const now = useMinute();

const hands = computed(() =>
  props.job.hands
    .filter(({ by }) => by !== shop.personId)
    .map(({ by, itemId }) => ({ who: shop.firstName(by), what: itemOf(props.job, itemId)?.name ?? '' })),
);
const others = computed(() => peopleAtIt(props.job, now.value).filter((by) => by !== shop.personId));
const mine = computed(() => {
  const own = props.job.hands.find(({ by }) => by === shop.personId);
  const item = own === undefined ? undefined : itemOf(props.job, own.itemId);
  return item?.state === (props.way === 'strip' ? 'on' : 'off') ? item : null;
});
const offer = computed(() =>
  props.way === 'strip' ? nextOffFor(props.job, shop.personId) : nextBack(props.job, shop.personId, now.value),
);
const shown = computed(() => props.job.status === 'open' && (others.value.length > 0 || hands.value.length > 0));

function takeIt(): void {
  if (offer.value === null) return;
  store.send('take-step', { itemId: offer.value.id });
  emit('choose', offer.value.id);
}
</script>

<template>
  <p
    v-if="shown"
    class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 border-l-[3px] border-bottle py-1 pl-3 text-note"
  >
    <span v-for="hand in hands" :key="hand.who"
      ><b>{{ hand.who }}</b> has {{ hand.what.toLowerCase() }} in hand.</span
    >
    <span v-if="hands.length === 0"
      >{{ others.map(shop.firstName).join(' and ') }} {{ others.length === 1 ? 'is' : 'are' }} at this vehicle
      too.</span
    >
    <template v-if="mine"
      ><span
        >You have <b>{{ mine.name.toLowerCase() }}</b>.</span
      ><button type="button" class="link text-sm" @click="store.send('take-step', { itemId: '' })">
        Put it down
      </button></template
    >
    <template v-else-if="offer"
      ><span
        >{{ way === 'strip' ? 'For you' : 'For you, not tied to it' }}: <b>{{ offer.name.toLowerCase() }}</b></span
      ><button type="button" class="quiet text-sm" @click="takeIt">I take it</button></template
    >
  </p>
</template>
