<script setup lang="ts">
/** What is there already and looks like what is being added. */
defineProps<{ items: readonly { readonly id: string; readonly words: string; readonly to: string }[] }>();
const SHOWN = 4;
</script>

<template>
  <div
    v-if="items.length > 0"
    class="border-l-4 border-amber bg-amber-wash px-3 py-2"
    role="status"
    data-test="like-it"
  >
    <p class="font-semibold">Is it this one?</p>
    <ul>
      <li v-for="item in items.slice(0, SHOWN)" :key="item.id">
        <RouterLink class="link inline-flex items-center pointer-coarse:min-h-11" :to="item.to">{{
          item.words
        }}</RouterLink>
      </li>
    </ul>
  </div>
</template>
