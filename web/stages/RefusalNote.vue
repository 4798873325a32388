<script setup lang="ts">
import type { Job } from '../../core/job/index.ts';
import { linkTo } from './linkTo.ts';
import type { useForm } from './useForm.ts';

/** Why a form was not taken, where no field is wrong, with the way to what is meant. */
defineProps<{ form: ReturnType<typeof useForm>; job: Job; fields?: readonly string[] }>();
</script>

<template>
  <p v-if="form.general(...(fields ?? []))" class="font-semibold text-alarm" role="alert">
    {{ form.general(...(fields ?? [])) }}
    <RouterLink v-if="form.wrong.value?.at" class="link" :to="linkTo(job.id, form.wrong.value.at)">Go there</RouterLink>
  </p>
</template>
