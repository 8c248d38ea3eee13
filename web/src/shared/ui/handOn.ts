import type { Ref } from 'vue';

/**
 * Empties the fields, then keeps what stood in them: what is typed while it is being kept is the next entry, and a second press finds
 * nothing to keep twice. Where keeping fails, each field gets its text back unless something else was typed there since, and the error
 * goes on to whoever called: nothing typed is lost.
 */
export async function handOn(fields: readonly Ref<string>[], keep: () => Promise<unknown>): Promise<void> {
  const typed = fields.map((field) => field.value);
  for (const field of fields) field.value = '';
  try {
    await keep();
  } catch (error) {
    for (const [i, field] of fields.entries()) if (typed[i]!.endsWith(field.value)) field.value = typed[i]!;
    throw error;
  }
}
