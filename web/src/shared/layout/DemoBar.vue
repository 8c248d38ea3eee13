<script setup lang="ts">
import { inDemoBeside } from '../mount/mount.ts';
</script>

<template>
  <p
    v-if="inDemoBeside"
    class="flex flex-wrap items-center gap-x-4 border-b border-hairline bg-amber-wash px-4 py-1.5 text-[14.5px] sm:px-6"
    data-test="demo-bar"
  >
    <span>The Saltmarsh demo company. It is invented, and kept apart from yours: try what you like.</span>
    <!-- Another company is another page: nothing of this one goes along. -->
    <a class="link" href="/today">Back to your company</a>
  </p>
</template>
