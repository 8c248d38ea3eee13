<script setup lang="ts">
import LineChoice from '../../shared/bus/LineChoice.vue';
import { useJob } from '../../shared/job/useJob.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import ModalDialog from '../../shared/ui/ModalDialog.vue';
import { useWriteOverBus } from './useWriteOverBus.ts';
import WritePlan from './WritePlan.vue';
import WrittenList from './WrittenList.vue';

/** Writes the planned values over the control's bus. */
const emit = defineEmits<{ close: [] }>();
const job = useJob();
const { on, standing, unread, written, undecided, told, plan, stood, look, takeStood, write } =
  useWriteOverBus();
</script>

<template>
  <ModalDialog :open="true" title="Write over the bus" @close="emit('close')">
    <div class="flex max-h-[75vh] flex-col gap-3 overflow-auto" data-test="write-over-bus">
      <LineChoice :on="on">
        <AppButton
          :kind="standing ? 'quiet' : 'primary'"
          :disabled="on.isBusy.value"
          data-test="bus-look"
          @click="look"
          >{{ standing ? 'Read again' : 'Read what stands there' }}</AppButton
        >
      </LineChoice>
      <WrittenList
        v-if="written && job.replacement.value && told"
        :control="job.replacement.value"
        :told="told"
        :written="written.written"
      />
      <WritePlan
        v-else-if="plan && standing && told"
        :control="job.replacement.value!"
        :plan="plan"
        :standing="standing"
        :told="told"
        :unread="unread"
        :busy="on.isBusy.value"
        :stood="stood.length"
        @stands="takeStood(null)"
        @write="write"
      >
        <p v-if="undecided.length > 0" class="hint">
          Not decided yet, and left as they stand: {{ undecided.join(', ') }}.
        </p>
      </WritePlan>
    </div>
  </ModalDialog>
</template>
