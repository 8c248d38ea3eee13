<script setup lang="ts">
import { computed, ref } from 'vue';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';
import { currentKeys, useKeys } from './keyRegistry.ts';

const open = ref(false);
const keys = computed(() => [...currentKeys.value].reverse());
useKeys([{ key: '?', label: '?', does: 'this list', run: () => (open.value = true) }]);
</script>

<template>
  <Dialog :open="open" class="relative z-50" @close="open = false">
    <div class="fixed inset-0 bg-black/45" aria-hidden="true"></div>
    <div class="fixed inset-0 grid place-items-center p-4">
      <DialogPanel class="w-full max-w-md border border-edge bg-sheet p-5 text-ink" data-test="key-list">
        <DialogTitle as="h2">Keys of this page</DialogTitle>
        <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
          <template v-for="binding in keys" :key="binding.key">
            <dt>
              <kbd class="inline-block min-w-7 border border-edge px-1.5 text-center font-mono">{{
                binding.label
              }}</kbd>
            </dt>
            <dd>{{ binding.does }}</dd>
          </template>
        </dl>
        <button type="button" class="link mt-4" @click="open = false">Close</button>
      </DialogPanel>
    </div>
  </Dialog>
</template>
