import {
  effectScope,
  onScopeDispose,
  shallowRef,
  watch,
  type EffectScope,
  type Ref,
  type ShallowRef,
} from 'vue';
import type { Variant } from '@brine/core/record/job';

/** What is computed for each of the chosen variants, by its id: made when one is chosen, kept while its values move, dropped when it is chosen no more. */
export function perVariant<Of>(
  chosen: Ref<readonly Variant[]>,
  make: (variant: () => Variant | null) => Of,
): Readonly<ShallowRef<ReadonlyMap<string, Of>>> {
  const scopes = new Map<string, EffectScope>();
  const made = shallowRef<ReadonlyMap<string, Of>>(new Map());
  const variantOf = (id: string) => chosen.value.find((v) => v.id === id) ?? null;

  watch(
    () => chosen.value.map((v) => v.id).join(),
    () => {
      const next = new Map(made.value);
      for (const [id, scope] of scopes) {
        if (variantOf(id)) continue;
        scope.stop();
        scopes.delete(id);
        next.delete(id);
      }
      for (const { id } of chosen.value) {
        if (scopes.has(id)) continue;
        const scope = effectScope(true);
        scopes.set(id, scope);
        next.set(
          id,
          scope.run(() => make(() => variantOf(id)))!,
        );
      }
      made.value = next;
    },
    { immediate: true },
  );
  onScopeDispose(() => scopes.forEach((scope) => scope.stop()));
  return made;
}
