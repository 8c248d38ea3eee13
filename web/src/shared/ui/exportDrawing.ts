const looks = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'paint-order',
] as const;

/** A drawing that stands alone: every look that comes from the page is written into it, on the page's own ground. */
export function standaloneSvg(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const nodesOf = (root: SVGSVGElement) => [root, ...root.querySelectorAll<SVGElement>('*')];
  const copied = nodesOf(copy);
  nodesOf(svg).forEach((node, i) => {
    const style = getComputedStyle(node);
    for (const look of looks) {
      copied[i]!.style.setProperty(look, style.getPropertyValue(look));
      // The attribute may speak of a variable of the page; the computed look has taken its place.
      copied[i]!.removeAttribute(look);
    }
    copied[i]!.removeAttribute('class');
  });
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  copy.style.background = getComputedStyle(document.body).backgroundColor;
  return new XMLSerializer().serializeToString(copy);
}

/** Draws an SVG at twice its size, for a report. Null where the browser cannot. */
export async function pngOf(svg: string, width: number, height: number): Promise<Blob | null> {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = width * 2;
    canvas.height = height * 2;
    const context = canvas.getContext('2d');
    if (!context) return null;
    context.fillStyle = getComputedStyle(document.body).backgroundColor;
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve) => canvas.toBlob(resolve, 'image/png'));
  } finally {
    URL.revokeObjectURL(url);
  }
}
