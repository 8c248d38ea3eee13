import { onScopeDispose, ref, watch, type Ref } from 'vue';

/** An address under which the page can show a picture that it holds; given back when it is no longer shown. */
export function usePictureAddress(picture: () => Blob | null): Readonly<Ref<string | null>> {
  const address = ref<string | null>(null);
  const release = () => {
    if (address.value) URL.revokeObjectURL(address.value);
    address.value = null;
  };
  watch(
    picture,
    (blob) => {
      release();
      if (blob) address.value = URL.createObjectURL(blob);
    },
    { immediate: true },
  );
  onScopeDispose(release);
  return address;
}
