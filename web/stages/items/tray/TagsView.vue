<script setup lang="ts">
import { computed, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { comesOff, leftColumn, tagFor } from '../../../../core/job/index.ts';
import { useJob } from '../../../stores/job.ts';

/** Tags to print and cut: number, name, place and mark of everything that comes off. */
const route = useRoute();
const router = useRouter();
const store = useJob();
watch(
  () => String(route.params.id),
  (id) => void store.load(id),
  { immediate: true },
);
const job = computed(() => store.job);
const tags = computed(() =>
  job.value === null
    ? []
    : leftColumn(job.value)
        .map((item, index) => ({ item, number: index + 1 }))
        .filter(({ item }) => comesOff(item)),
);
const marks = tagFor;
const print = (): void => window.print();
</script>

<template>
  <div v-if="job" class="tags">
    <header class="no-print flex flex-wrap items-center gap-4 px-6 py-4">
      <h1 class="text-heading">{{ tags.length }} tags for {{ job.vehicle.plate }}</h1>
      <p class="text-soft">Cut along the lines; the hole is for the string.</p>
      <span class="ml-auto flex gap-2">
        <button type="button" class="primary" @click="print">Print</button>
        <button type="button" class="quiet" @click="router.back()">Back</button>
      </span>
    </header>
    <ol class="sheet">
      <li v-for="tag in tags" :key="tag.item.id" class="tag">
        <span class="hole" aria-hidden="true" />
        <span class="number">{{ tag.number }}</span>
        <span class="name">{{ tag.item.name }}</span>
        <span class="line">
          <b v-if="marks(tag.item)">{{ marks(tag.item) }}</b>
          <span v-if="tag.item.fasteners">{{ tag.item.fasteners.count }} × {{ tag.item.fasteners.thread }}</span>
          <span>pocket {{ tag.item.pocket || '____' }}</span>
        </span>
        <span class="foot">{{ job.vehicle.plate }} · job {{ job.number }}</span>
      </li>
    </ol>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the job</p>
</template>

<style scoped>
.tags {
  height: 100%;
  overflow-y: auto;
}
.sheet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(62mm, 1fr));
  gap: 0;
  padding: 0 1.5rem 1.5rem;
}
.tag {
  position: relative;
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 3mm;
  height: 32mm;
  padding: 3mm 3mm 2mm 11mm;
  border: 1px dashed var(--line);
  background: var(--card);
  break-inside: avoid;
}
.hole {
  position: absolute;
  top: 50%;
  left: 4mm;
  width: 4mm;
  height: 4mm;
  margin-top: -2mm;
  border: 1.5px solid var(--soft);
  border-radius: 50%;
}
.number {
  font-size: var(--text-2xl);
  font-weight: 800;
  line-height: 1.1;
  font-variant-numeric: tabular-nums;
}
.name {
  align-self: start;
  font-size: var(--text-note);
  font-weight: 700;
  line-height: 1.15;
}
.line {
  display: flex;
  grid-column: 1 / -1;
  flex-wrap: wrap;
  align-self: end;
  gap: 0 3mm;
  font-size: var(--text-fine);
}
.foot {
  grid-column: 1 / -1;
  align-self: end;
  font-size: var(--text-xs);
  color: var(--soft);
}
@media print {
  .tags {
    height: auto;
    overflow: visible;
  }
  .sheet {
    grid-template-columns: repeat(3, 62mm);
    padding: 0;
  }
  .tag {
    border-color: #999;
    color: #000;
    background: #fff;
  }
  .foot {
    color: #444;
  }
}
</style>
