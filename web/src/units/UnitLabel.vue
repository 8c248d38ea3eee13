<script setup lang="ts">
import { addressHere } from '../shared/mount/mount.ts';
import { onMounted, ref } from 'vue';
import type { Unit } from '@brine/contract/routes';
import { messageOf } from '../shared/api/client.ts';
import { unitAddress } from '../shared/scan/codeTarget.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import QrCode from '../shared/ui/QrCode.vue';
import { addressForPhones, saveLabels } from './labels.ts';

/** The label that is put on a unit: whoever scans it, and belongs to the company, stands on this page. */
const props = defineProps<{ unit: Unit }>();
const session = useSession();
const base = ref(addressHere());
const problem = ref<string | null>(null);
const printing = ref(false);
onMounted(async () => {
  // Without contact the address of this page is as good a guess as any.
  base.value = await addressForPhones().catch(() => addressHere());
});
async function print() {
  printing.value = true;
  problem.value = null;
  try {
    await saveLabels([props.unit], 'tape', session.company?.name ?? '');
  } catch (error) {
    problem.value = messageOf(error);
  }
  printing.value = false;
}
</script>

<template>
  <section aria-label="Label" class="flex items-start gap-3" data-test="unit-label">
    <QrCode
      class="w-24 shrink-0"
      :text="unitAddress(base, unit.id)"
      :label="`Code of ${unit.tag || unit.name}`"
    />
    <div class="text-[14px]">
      <p class="text-soft">For the unit: scanned with Brine Dial or any camera it leads here.</p>
      <AppButton class="mt-1" :disabled="printing" data-test="print-label" @click="print"
        >Print the label</AppButton
      >
      <FormProblem class="mt-1" :message="problem" />
    </div>
  </section>
</template>
