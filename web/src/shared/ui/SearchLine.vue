<script setup lang="ts">
const search = defineModel<string>('search', { required: true });
const archived = defineModel<boolean>('archived', { required: true });
defineProps<{ label: string }>();
</script>

<template>
  <input
    v-model="search"
    type="search"
    class="w-full sm:w-72"
    :placeholder="label"
    :aria-label="label"
    data-test="search"
  />
  <label class="flex items-center gap-2 text-[14.5px]"
    ><input v-model="archived" type="checkbox" /> Archive</label
  >
</template>
