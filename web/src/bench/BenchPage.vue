<script setup lang="ts">
import HeaterBench from './HeaterBench.vue';
import LoadBench from './LoadBench.vue';
import SaturationBench from './SaturationBench.vue';
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6">
    <h1>Bench</h1>
    <p class="hint mt-1">Arithmetic of the trade, apart from any job.</p>
    <div class="mt-5 grid gap-x-12 gap-y-10 lg:grid-cols-2">
      <SaturationBench />
      <div class="flex min-w-0 flex-col gap-10">
        <HeaterBench />
        <LoadBench />
      </div>
    </div>
  </section>
</template>
