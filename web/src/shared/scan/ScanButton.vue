<script setup lang="ts">
import { ref } from 'vue';
import AppButton from '../ui/AppButton.vue';
import ScanDialog from './ScanDialog.vue';

/** Opens a unit by the code on it. */
const scanning = ref(false);
</script>

<template>
  <span>
    <AppButton data-test="scan" @click="scanning = true">Scan a code</AppButton>
    <ScanDialog v-if="scanning" @close="scanning = false" />
  </span>
</template>
