import { FONTS, type Palette } from '@/theme/tokens';

/** What stands on a card. No place and no site: it may be shown to anybody. */
export interface CardText {
  title: string;
  detail: string;
  name: string;
  species: string;
  day: string;
}

const WIDE = 1080;
const EDGE = 84;
const INNER = WIDE - 2 * EDGE;
const PHOTO_TALL = 640;

/** A picture that has been read whole. */
function loaded(source: string): Promise<HTMLImageElement> {
  return new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('The picture could not be read.'));
    image.src = source;
  });
}

/** A drawing of the page as a picture of its own. */
function asSource(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  return `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`;
}

/** Breaks a text into lines that fit. */
function linesOf(ctx: CanvasRenderingContext2D, text: string, width: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length > 0 ? `${lines.at(-1)} ${word}` : word;
    if (lines.length > 0 && ctx.measureText(longer).width <= width) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** Text below one another from a height on. @returns where the next begins */
function write(
  ctx: CanvasRenderingContext2D,
  text: string,
  { y, size, font, color }: { y: number; size: number; font: string; color: string },
): number {
  ctx.font = `${size}px "${font}"`;
  ctx.fillStyle = color;
  const step = Math.round(size * 1.3);
  return linesOf(ctx, text, INNER).reduce((at, line) => {
    ctx.fillText(line, EDGE, at + size);
    return at + step;
  }, y);
}

/**
 * The card as a PNG, made by the browser alone.
 * @param svg the drawing of her home
 * @param photo where a photo is read from; null for none
 * @throws Error when this browser cannot make pictures, or one of them cannot be read
 */
export async function cardPng(
  text: CardText,
  svg: SVGSVGElement,
  photo: string | null,
  p: Palette,
): Promise<Blob> {
  await Promise.all(Object.values(FONTS).map((f) => document.fonts.load(`20px "${f}"`)));
  const drawing = await loaded(asSource(svg));
  const picture = photo === null ? null : await loaded(photo);
  const tall = Math.round((INNER * drawing.height) / Math.max(1, drawing.width));
  const canvas = document.createElement('canvas');
  canvas.width = WIDE;
  canvas.height = 640 + tall + (picture ? PHOTO_TALL + 48 : 0);
  const ctx = canvas.getContext('2d');
  if (!ctx) throw new Error('This browser cannot make a picture.');
  ctx.fillStyle = p.ground;
  ctx.fillRect(0, 0, canvas.width, canvas.height);
  ctx.fillStyle = p.moss;
  ctx.fillRect(0, 0, WIDE, 12);
  let y = write(ctx, text.title, { y: 72, size: 68, font: FONTS.serif, color: p.ink });
  y = write(ctx, `${text.name}, ${text.species}`, {
    y: y + 8,
    size: 40,
    font: FONTS.serifItalic,
    color: p.inkSoft,
  });
  ctx.drawImage(drawing, EDGE, y + 40, INNER, tall);
  y += 40 + tall + 40;
  if (picture) {
    // the middle of it fills the frame
    const scale = Math.max(INNER / picture.width, PHOTO_TALL / picture.height);
    const [w, h] = [INNER / scale, PHOTO_TALL / scale];
    const [left, top] = [(picture.width - w) / 2, (picture.height - h) / 2];
    ctx.drawImage(picture, left, top, w, h, EDGE, y, INNER, PHOTO_TALL);
    y += PHOTO_TALL + 40;
  }
  y = write(ctx, text.detail, { y, size: 36, font: FONTS.sans, color: p.ink });
  write(ctx, text.day, { y: y + 12, size: 30, font: FONTS.sans, color: p.inkSoft });
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture could not be made.'))),
      'image/png',
    ),
  );
}
