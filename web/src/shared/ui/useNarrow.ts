import { onScopeDispose, ref, type Ref } from 'vue';

/** True on a phone: the width where the cabinet shows one code at a time. */
export function useNarrow(): Ref<boolean> {
  const query = matchMedia('(max-width: 767px)');
  const narrow = ref(query.matches);
  const listen = () => (narrow.value = query.matches);
  query.addEventListener('change', listen);
  onScopeDispose(() => query.removeEventListener('change', listen));
  return narrow;
}
