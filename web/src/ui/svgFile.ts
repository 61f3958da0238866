import { save } from './save';

/** Scale of a PNG: a graph of a page's width then prints at about 300 dots an inch. */
const PNG_SCALE = 4;
const CAPTION = 26;

/** A drawing by itself: colours and fonts written in, its caption below, on white. */
function standalone(svg: SVGSVGElement, caption: string): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const theme = getComputedStyle(document.documentElement);
  const [w, h] = [svg.width.baseVal.value, svg.height.baseVal.value];
  const tall = h + (caption ? CAPTION : 0);
  // A drawing may have units of its own.
  const own = svg.viewBox?.baseVal?.width ? svg.viewBox.baseVal.width / w : 1;
  copy.querySelectorAll('[role=slider], [data-screen]').forEach((e) => e.remove());
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('viewBox', `0 0 ${w * own} ${tall * own}`);
  copy.setAttribute('width', String(w));
  copy.setAttribute('height', String(tall));
  copy.setAttribute('font-family', '"Atkinson Hyperlegible Next", "Liberation Sans", Arial, sans-serif');
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [k, v] of Object.entries({ width: '100%', height: '100%', fill: '#ffffff' })) ground.setAttribute(k, v);
  copy.prepend(ground);
  if (caption) {
    const text = document.createElementNS('http://www.w3.org/2000/svg', 'text');
    for (const [k, v] of Object.entries({
      x: String((w / 2) * own),
      y: String((h + 16) * own),
      'text-anchor': 'middle',
      'font-size': String(13 * own),
      fill: '#1b2430',
    }))
      text.setAttribute(k, v);
    text.textContent = caption;
    copy.append(text);
  }
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[a-z-]+)\)/g, (_, name: string) => theme.getPropertyValue(name).trim() || '#000')
    .replace(/color-mix\(in srgb, (#[0-9a-f]{3,8}) (\d+)%, (#[0-9a-f]{3,8})\)/gi, (_, a: string) =>
      a.length === 7 ? `${a}" fill-opacity="0.28` : a,
    );
}

export function saveSvg(svg: SVGSVGElement, name: string, caption: string) {
  save(`${name}.svg`, 'image/svg+xml', standalone(svg, caption));
}

/** A drawing as a PNG, so many times as large as on the screen. */
export async function pngOf(svg: SVGSVGElement, caption: string, scale = PNG_SCALE): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(standalone(svg, caption))}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.naturalWidth * scale;
  canvas.height = image.naturalHeight * scale;
  const ctx = canvas.getContext('2d')!;
  ctx.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (!blob) throw new Error('The browser could not make the picture.');
  return blob;
}

export async function savePng(svg: SVGSVGElement, name: string, caption: string) {
  save(`${name}.png`, 'image/png', await pngOf(svg, caption));
}
