<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import type { NetworkReply } from '../../contract/index.ts';
import { readNetwork } from '../data/signIn.ts';
import { wordsOf } from '../sign-in/useComingIn.ts';
import { useShop } from '../stores/shop.ts';
import QrCode from './QrCode.vue';

/** How tablets reach this server, and how one is brought in. */
const shop = useShop();
const network = shallowRef<NetworkReply | null>(null);
const error = ref('');
onMounted(async () => {
  network.value = await readNetwork().catch((failed: unknown) => {
    error.value = wordsOf(failed);
    return null;
  });
});
</script>

<template>
  <div>
    <p v-if="error" class="font-semibold text-alarm" role="alert">{{ error }}</p>
    <template v-if="network">
      <p v-for="words in network.said" :key="words" class="mb-3 max-w-prose border-l-4 border-brass pl-3">
        {{ words }}
      </p>
      <p v-if="network.way === 'here'" class="max-w-prose">
        This server answers on its own machine alone. Start it with <code class="code">npm start -- --network</code> for
        tablets of the workshop; nothing of it goes further than the workshop’s own network.
      </p>
      <p v-else-if="network.way === 'proxy'" class="max-w-prose">
        A proxy speaks for this server, at <b class="code">{{ network.addresses[0] }}</b>. Its certificate, and who
        reaches it, are the proxy’s.
      </p>
      <div v-else class="grid gap-6 sm:grid-cols-[auto_1fr]">
        <QrCode
          v-if="network.joining[0]"
          :address="network.joining[0]"
          words="The address of the page that brings a tablet in, as a code"
        />
        <div>
          <p class="max-w-prose">
            Let the tablet’s camera read this code, or type <b class="code">{{ network.joining[0] }}</b>: the page there
            gives it the workshop’s certificate and leads it here.
          </p>
          <dl class="mt-3 grid gap-x-4 gap-y-1 sm:grid-cols-[max-content_1fr]">
            <dt class="text-soft">Then it opens</dt>
            <dd>
              <span v-for="address in network.addresses" :key="address" class="code block">{{ address }}</span>
            </dd>
            <dt class="text-soft">Fingerprint to compare</dt>
            <dd class="code text-sm">
              <!-- A line breaks between two pairs, never within one. -->
              <template v-for="(pair, at) in network.fingerprint.split(':')" :key="at"
                ><template v-if="at > 0">:<wbr /></template>{{ pair }}</template
              >
            </dd>
            <dt v-if="network.until" class="text-soft">The certificate authority holds until</dt>
            <dd v-if="network.until">{{ shop.say.time(network.until) }}</dd>
          </dl>
        </div>
      </div>
    </template>
  </div>
</template>
