<script setup lang="ts">
import ModalDialog from '../../shared/ui/ModalDialog.vue';
import { useWriteOverBus } from './useWriteOverBus.ts';
import WriteSteps from './WriteSteps.vue';

/** Writes the planned values over the control's bus. */
const emit = defineEmits<{ close: [] }>();
const { steps, undecided, stood, settle, write } = useWriteOverBus();
</script>

<template>
  <ModalDialog :open="true" title="Write over the bus" @close="emit('close')">
    <div class="flex max-h-[75vh] flex-col gap-3 overflow-auto" data-test="write-over-bus">
      <WriteSteps :steps="steps" :stood="stood.length" @stands="settle(null)" @write="write">
        <p v-if="undecided.length > 0" class="hint">
          Not decided yet, and left as they stand: {{ undecided.join(', ') }}.
        </p>
      </WriteSteps>
    </div>
  </ModalDialog>
</template>
