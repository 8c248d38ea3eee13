<script setup lang="ts">
/** What was just done, with its way back. It stands over the page: a row under a finger stays where it is. */
defineProps<{ undo: { readonly words: string; run(): unknown } | null }>();
</script>

<template>
  <p
    v-if="undo"
    class="fixed inset-x-4 bottom-20 z-40 mx-auto flex w-fit max-w-[calc(100vw-2rem)] items-center gap-4 border border-ink bg-sheet px-4 py-2 shadow-md"
    role="status"
    data-test="undo"
  >
    {{ undo.words }}
    <button type="button" class="link min-h-9 pointer-coarse:min-h-11" @click="undo.run()">Undo</button>
  </p>
</template>
