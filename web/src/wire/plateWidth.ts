/** Width of a wire's label in the drawing: its characters in the mono face of 11.5 px, with a margin. */
export function plateWidth(words: string): number {
  return words.length * 6.9 + 8;
}
