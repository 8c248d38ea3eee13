<script setup lang="ts">
defineProps<{ message: string | null }>();
</script>

<template>
  <p v-if="message" role="alert" class="border-l-4 border-alarm bg-alarm-wash px-3 py-2">{{ message }}</p>
</template>
