/** What a page breaks at its width: run in the page. */
export interface Misfit {
  readonly what: 'wide' | 'small' | 'cut';
  readonly where: string;
}

/**
 * Measures the page that stands in the browser: whether it scrolls sideways or something sticks out of it, whether a target is smaller than 44 px where
 * fingers press, whether a text is cut. What scrolls in a strip of its own may be wider than it. To be run with `page.evaluate`.
 */
export function measurePage(touch: boolean): Misfit[] {
  const SMALLEST = 44;
  const SLACK = 0.6;
  const misfits: Misfit[] = [];
  const width = document.documentElement.clientWidth;
  const name = (node: Element) => {
    const text = (node.getAttribute('aria-label') ?? node.textContent ?? '').replace(/\s+/g, ' ').trim();
    const mark = node.closest('[data-test]')?.getAttribute('data-test') ?? '';
    const box = node.getBoundingClientRect();
    return `<${node.tagName.toLowerCase()}${mark ? ` in ${mark}` : ''}> “${text.slice(0, 40)}” ${Math.round(box.width)} × ${Math.round(box.height)}`;
  };
  const scrollsSideways = (node: Element) =>
    ['auto', 'scroll', 'hidden'].includes(getComputedStyle(node).overflowX) &&
    node.scrollWidth > node.clientWidth;
  const inStrip = (node: Element) => {
    for (let up = node.parentElement; up && up !== document.body; up = up.parentElement)
      if (scrollsSideways(up)) return true;
    return false;
  };
  const isSeen = (node: Element) => {
    const box = node.getBoundingClientRect();
    const style = getComputedStyle(node);
    return (
      box.width > 1 &&
      box.height > 1 &&
      style.visibility !== 'hidden' &&
      style.opacity !== '0' &&
      style.clipPath === 'none' &&
      node.closest('[aria-hidden="true"], .sr-only') === null
    );
  };

  if (document.documentElement.scrollWidth > width)
    misfits.push({ what: 'wide', where: `the page is ${document.documentElement.scrollWidth} px wide` });
  for (const node of document.body.querySelectorAll('*')) {
    if (!isSeen(node) || node.closest('svg svg, svg *')) continue;
    const box = node.getBoundingClientRect();
    if (box.right > width + 1 && !inStrip(node)) misfits.push({ what: 'wide', where: name(node) });
    const style = getComputedStyle(node);
    const main = node.matches('main, html, body');
    // A part of the page that can be pushed sideways as a whole is as bad as the page.
    if (main && node.scrollWidth > node.clientWidth + 1)
      misfits.push({
        what: 'wide',
        where: `${node.tagName.toLowerCase()} scrolls to ${node.scrollWidth} px`,
      });
    const ownText = [...node.childNodes].some(
      (child) => child.nodeType === 3 && child.textContent!.trim() !== '',
    );
    const cutsText =
      ownText &&
      ((['hidden', 'clip'].includes(style.overflowX) && node.scrollWidth > node.clientWidth + 1) ||
        (['hidden', 'clip'].includes(style.overflowY) && node.scrollHeight > node.clientHeight + 2));
    if (cutsText) misfits.push({ what: 'cut', where: name(node) });
  }
  if (touch)
    for (const node of document.body.querySelectorAll(
      'a[href], button, input:not([type="hidden"]), select, textarea, summary, [role="button"], [role="slider"]',
    )) {
      if (!isSeen(node) || node.matches(':disabled')) continue;
      // Wires and parts drawn to scale: each can be chosen in the list beside the drawing as well.
      if (node instanceof SVGElement) continue;
      // A box is pressed by its label as well, a link by the row that opens with it.
      const label = node.matches('input') ? node.closest('label') : null;
      const boxes = [node, ...(label ? [label] : [])].map((one) => one.getBoundingClientRect());
      const after = getComputedStyle(node, '::after');
      const stretched =
        after.position === 'absolute' && after.content !== 'none'
          ? node.closest('[class*="relative"]')
          : null;
      if (stretched) boxes.push(stretched.getBoundingClientRect());
      const largeEnough = boxes.some(
        ({ width: w, height: h }) => w >= SMALLEST - SLACK && h >= SMALLEST - SLACK,
      );
      if (!largeEnough) misfits.push({ what: 'small', where: name(node) });
    }
  return misfits;
}
