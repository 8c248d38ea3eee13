/**
 * At most so many characters of a text, as the contract counts them: an emoji is one and is never cut in half. `cutText('ab😀', 3)` is
 * `ab😀`, `cutText('ab😀', 2)` is `ab`.
 */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text;
  let count = 0;
  let end = 0;
  for (const character of text) {
    if (count === most) break;
    count += 1;
    end += character.length;
  }
  return text.slice(0, end);
}
