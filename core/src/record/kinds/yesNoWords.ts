/** A question that may not have been looked at yet. */
export const yesNoWords = (answer: boolean | null): string =>
  answer === null ? 'not checked' : answer ? 'yes' : 'no';
