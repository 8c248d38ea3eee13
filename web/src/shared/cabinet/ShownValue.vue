<script setup lang="ts">
import TakeRead from '../watch/TakeRead.vue';
import AnswerButton from './AnswerButton.vue';

/** What the display shows, typed at arm's length; the name a test knows the field by goes to the field. */
defineOptions({ inheritAttrs: false });
defineProps<{ words: string; keypad: 'decimal' | 'text' }>();
defineEmits<{ shown: [] }>();
const typed = defineModel<string>({ required: true });
</script>

<template>
  <form class="flex flex-col" @submit.prevent="$emit('shown')">
    <input
      v-bind="$attrs"
      v-model="typed"
      class="!min-h-20 w-full !rounded-none text-center font-mono !text-[30px]"
      aria-label="It shows"
      placeholder="it shows"
      :inputmode="keypad"
      autocomplete="off"
      autocapitalize="off"
    />
    <TakeRead @read="typed = $event" />
    <AnswerButton kind="main" type="submit" :disabled="typed.trim() === ''" data-test="mode-next">
      <span class="text-[22px] font-semibold">{{ words }}</span>
    </AnswerButton>
  </form>
</template>
