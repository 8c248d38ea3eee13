<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';

defineProps<{ open: boolean; title: string }>();
defineEmits<{ close: [] }>();
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/45" aria-hidden="true"></div>
    <div class="fixed inset-0 grid place-items-center overflow-auto p-4 max-sm:items-end max-sm:p-0">
      <DialogPanel
        class="w-full max-w-lg border border-edge bg-sheet p-5 text-ink max-sm:max-w-none max-sm:border-x-0 max-sm:border-b-0 max-sm:pb-7"
      >
        <DialogTitle as="h2">{{ title }}</DialogTitle>
        <div class="mt-4"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
