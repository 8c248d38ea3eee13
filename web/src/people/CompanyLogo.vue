<script setup lang="ts">
import { ref } from 'vue';
import { LARGEST_LOGO } from '@brine/contract/lengths';
import { useAct } from '../shared/api/useAct.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';

/** The company’s mark on its papers. */
const session = useSession();
const chooser = ref<HTMLInputElement | null>(null);
const { problem, act } = useAct();

const keep = (logo: string | null) => act(() => session.changeCompany({ logo }));
async function choose(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  if (!['image/png', 'image/jpeg'].includes(file.type))
    return void (problem.value = `${file.name}: expected a PNG or JPEG picture`);
  if (file.size > LARGEST_LOGO)
    return void (problem.value = `${file.name}: expected at most ${LARGEST_LOGO / 1000} kB, found ${Math.ceil(file.size / 1000)}`);
  await keep(await asDataUrl(file));
}
const asDataUrl = (file: File) =>
  new Promise<string>((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('not read'));
    reader.readAsDataURL(file);
  });
</script>

<template>
  <div class="flex flex-col gap-1" data-test="company-logo">
    <span class="field-label">Mark on the papers</span>
    <div class="flex flex-wrap items-center gap-3">
      <img
        v-if="session.company?.logo"
        :src="session.company.logo"
        alt="The company’s mark"
        class="h-9 max-w-40 bg-white object-contain"
      />
      <AppButton @click="chooser?.click()">{{
        session.company?.logo ? 'Another' : 'Choose a picture'
      }}</AppButton>
      <AppButton v-if="session.company?.logo" kind="quiet" data-test="no-logo" @click="keep(null)"
        >Take it off</AppButton
      >
      <input
        ref="chooser"
        type="file"
        accept="image/png,image/jpeg"
        class="hidden"
        aria-label="Picture of the company’s mark"
        data-test="logo-file"
        @change="choose"
      />
    </div>
    <FormProblem :message="problem" />
  </div>
</template>
