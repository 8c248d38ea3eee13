import { shallowRef } from 'vue';

type Field = HTMLInputElement | HTMLTextAreaElement;

/** Fields somebody typed in whose text was not handed on yet. */
const typed = new Set<Field>();
/** Whether something is being typed in this page: it must not load itself again now. */
export const isTyping = shallowRef(false);

const isField = (target: EventTarget | null): target is Field =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'file'].includes(target.type));
/** Where one button hands on several fields, leaving one of them hands on nothing. */
const inForm = (field: Field): boolean => field.closest('form, [role="dialog"]') !== null;

function look(): void {
  for (const field of typed) if (!field.isConnected || field.value === '') typed.delete(field);
  isTyping.value = typed.size > 0;
}

/** How often it is looked whether the fields are still there. */
const LOOK_MS = 2000;

/** A form has said by then what it has against its fields. */
const SAID_MS = 400;

/** Watches what is typed anywhere in the page. */
export function watchTyping(root: Document = document): () => void {
  const onInput = ({ target }: Event) => {
    if (isField(target)) typed.add(target);
    look();
  };
  const onChange = ({ target }: Event) => {
    if (isField(target) && !inForm(target)) typed.delete(target);
    look();
  };
  const onSubmit = ({ target }: Event) => {
    const form = target as Element;
    // What a form says against what was typed stands on it a moment later; then it was not handed on.
    setTimeout(() => {
      if (form.querySelector('[role="alert"], [aria-invalid="true"]')) return;
      for (const field of typed) if (form.contains(field)) typed.delete(field);
      look();
    }, SAID_MS);
  };
  root.addEventListener('input', onInput, true);
  root.addEventListener('change', onChange, true);
  root.addEventListener('submit', onSubmit, true);
  const timer = setInterval(look, LOOK_MS);
  return () => {
    clearInterval(timer);
    typed.clear();
    root.removeEventListener('input', onInput, true);
    root.removeEventListener('change', onChange, true);
    root.removeEventListener('submit', onSubmit, true);
    look();
  };
}
