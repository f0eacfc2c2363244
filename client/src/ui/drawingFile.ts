// What a drawing takes from the style sheet; a file must bring it along.
const kept = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-opacity',
  'opacity',
  'font-family',
  'font-size',
  'font-style',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
  'display',
  'visibility',
] as const;

/** A drawing of the page as a file of its own: styles written out, on the ground it stands on. */
export function svgFile(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [from, to] = [
    [svg, ...svg.querySelectorAll('*')],
    [copy, ...copy.querySelectorAll('*')],
  ];
  from.forEach((element, k) => {
    const style = getComputedStyle(element);
    const twin = to[k];
    twin?.removeAttribute('class');
    twin?.removeAttribute('tabindex');
    twin?.setAttribute('style', kept.map((name) => `${name}:${style.getPropertyValue(name)}`).join(';'));
  });
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  if (!copy.hasAttribute('viewBox')) {
    copy.setAttribute('viewBox', `0 0 ${Math.round(width)} ${Math.round(height)}`);
  }
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', '100%');
  ground.setAttribute('height', '100%');
  ground.setAttribute('fill', getComputedStyle(document.body).backgroundColor);
  copy.prepend(ground);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}`;
}

const sharpness = 2;

/** The same as a picture, twice as fine as on the screen. */
export async function pngFile(svg: SVGSVGElement): Promise<Blob> {
  const { width, height } = svg.getBoundingClientRect();
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgFile(svg))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(width * sharpness);
  canvas.height = Math.round(height * sharpness);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => (blob === null ? reject(new Error('No picture.')) : resolve(blob)), 'image/png');
  });
}

/** Hands a file to the browser to be saved. */
export function save(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
