import { saveFile, saveText } from './saveFile';

const COLOUR = /var\((--[\w-]+)\)/g;
/** A drawing that stands by itself: its colours are those of the page now. */
export function standalone(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const page = getComputedStyle(document.documentElement);
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  copy.style.fontFamily = 'sans-serif';
  copy.style.background = page.getPropertyValue('--chalk').trim() || '#fff';
  for (const element of [copy, ...copy.querySelectorAll('*')])
    for (const { name, value } of [...element.attributes])
      if (value.includes('var('))
        element.setAttribute(
          name,
          value.replace(COLOUR, (whole, colour: string) => page.getPropertyValue(colour).trim() || whole),
        );
  return new XMLSerializer().serializeToString(copy);
}

/** Twice as many pixels as on the screen, for print. */
const FINER = 2;
/** A drawing as a picture of dots. */
async function asPng(svg: SVGSVGElement): Promise<Blob | undefined> {
  const url = URL.createObjectURL(new Blob([standalone(svg)], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = image.width * FINER;
    canvas.height = image.height * FINER;
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await new Promise((done) => canvas.toBlob((blob) => done(blob ?? undefined), 'image/png'));
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** Saves the drawing inside an element. @param name of the file, without its ending */
export async function saveChart(within: Element | null, name: string, as: 'svg' | 'png'): Promise<void> {
  const svg = within?.querySelector<SVGSVGElement>('svg.recharts-surface');
  if (!svg) return;
  if (as === 'svg') return saveText(`${name}.svg`, standalone(svg), 'image/svg+xml');
  const png = await asPng(svg);
  if (png) saveFile(`${name}.png`, png);
}
