<script setup lang="ts">
import CalibrateProbe from './CalibrateProbe.vue';
import CalibrationList from './CalibrationList.vue';
import IdentifyProbe from './IdentifyProbe.vue';
import PlacementGuide from './PlacementGuide.vue';
import TagForm from './TagForm.vue';
import WhoIsRight from './WhoIsRight.vue';
import WrongType from './WrongType.vue';
import { computed } from 'vue';
import { useJob } from '../../shared/job/useJob.ts';

const job = useJob();
/** Only controls whose sensors come back with a tag take one. */
const tagged = computed(() => job.replacement.value?.sensorTag !== undefined);
</script>

<template>
  <div class="grid gap-x-10 gap-y-8 lg:grid-cols-2">
    <div class="flex min-w-0 flex-col gap-8">
      <TagForm v-if="tagged" />
      <CalibrateProbe v-else />
      <CalibrationList />
      <WhoIsRight />
    </div>
    <div class="flex min-w-0 flex-col gap-8">
      <IdentifyProbe />
      <WrongType />
      <PlacementGuide />
    </div>
  </div>
</template>
