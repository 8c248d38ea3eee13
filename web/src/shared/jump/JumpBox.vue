<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';
import { Search } from '@lucide/vue';
import { useKeys } from '../keys/keyRegistry.ts';
import { findTargets, jumpTargets, type JumpTarget } from './jumpTargets.ts';

const open = ref(false);
const text = ref('');
const chosen = ref(0);
const found = computed(() => findTargets(jumpTargets.value, text.value));

function show() {
  text.value = '';
  chosen.value = 0;
  eager.value = false;
  open.value = true;
}
function move(by: number) {
  chosen.value = Math.min(Math.max(chosen.value + by, 0), Math.max(found.value.length - 1, 0));
}
/** Enter came before the page had loaded what is looked for: it is taken as soon as it is there. */
const eager = ref(false);
watch(found, (targets) => {
  if (open.value && eager.value) void take(targets[0]);
});
async function take(target: JumpTarget | undefined) {
  eager.value = target === undefined;
  if (!target) return;
  open.value = false;
  await nextTick();
  target.go();
}
useKeys([{ key: '/', label: '/', does: 'jump to a code, a meaning, a unit or a page', run: show }]);
</script>

<template>
  <button
    type="button"
    class="flex h-9 items-center justify-center gap-2 pointer-coarse:h-11 pointer-coarse:min-w-11 max-lg:border-transparent rounded-md border border-on-bar-soft/50 px-3 text-[14px] text-on-bar-soft hover:text-on-bar"
    @click="show"
  >
    <Search :size="15" /><span class="max-lg:sr-only">Jump to a code or a meaning</span
    ><kbd aria-hidden="true" class="hidden font-mono text-[13px] lg:inline">/</kbd>
  </button>
  <Dialog :open="open" class="relative z-50" @close="open = false">
    <div class="fixed inset-0 bg-black/45" aria-hidden="true"></div>
    <div class="fixed inset-0 flex justify-center px-4 pt-[10vh]">
      <DialogPanel class="h-fit w-full max-w-xl border border-edge bg-sheet text-ink">
        <DialogTitle class="sr-only">Jump</DialogTitle>
        <input
          v-model="text"
          class="w-full !border-0 !border-b !border-hairline px-4 py-3 text-[17px]"
          placeholder="A code, a meaning, a unit, a page"
          aria-label="What do you look for?"
          data-test="jump-input"
          @input="((chosen = 0), (eager = false))"
          @keydown.down.prevent="move(1)"
          @keydown.up.prevent="move(-1)"
          @keydown.enter.prevent="take(found[chosen])"
        />
        <ul class="max-h-[50vh] overflow-auto py-1">
          <li v-for="(target, i) in found" :key="target.id">
            <button
              type="button"
              class="flex w-full items-baseline gap-3 px-4 py-2 text-left"
              :class="{ 'bg-band': i === chosen }"
              @click="take(target)"
              @pointermove="chosen = i"
            >
              <span class="font-medium">{{ target.title }}</span><span class="text-[13.5px] text-soft">{{
                target.detail
              }}</span>
            </button>
          </li>
          <li v-if="found.length === 0" class="px-4 py-3 text-soft">
            Nothing here is called that. Codes are found on the Program station of their job.
          </li>
        </ul>
      </DialogPanel>
    </div>
  </Dialog>
</template>
