<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue';

/** Counts a menu's time-out down from the last key, on request; says when the menu has closed. */
const props = defineProps<{ seconds: number }>();
const emit = defineEmits<{ closed: [] }>();
const left = ref<number | null>(null);
let timer: ReturnType<typeof setInterval> | undefined;

function start() {
  clearInterval(timer);
  left.value = props.seconds;
  timer = setInterval(() => {
    left.value! -= 1;
    if (left.value! > 0) return;
    clearInterval(timer);
    left.value = null;
    emit('closed');
  }, 1000);
}
onBeforeUnmount(() => clearInterval(timer));
</script>

<template>
  <button type="button" class="link min-h-9 pointer-coarse:min-h-11" @click="start">
    {{
      left === null ? `Count the ${seconds} s until the menu closes` : `${left} s left; a key pressed: again`
    }}
  </button>
</template>
