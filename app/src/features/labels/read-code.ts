import { BrowserQRCodeReader } from '@zxing/browser';
import { DecodeHintType } from '@zxing/library';

const quick = new BrowserQRCodeReader();
const thorough = new BrowserQRCodeReader(new Map([[DecodeHintType.TRY_HARDER, true]]));

/**
 * Ways in which a picture is read, one after the other: at several sizes, quickly first. The reader finds most codes at any of
 * them, but at each it misses some in a hundred, other ones: the module grid falls badly on the pixels. A label that was
 * missed quickly at all these sizes (none of 499 at random was) is read thoroughly, as were all of them.
 */
const WAYS = [quick, thorough].flatMap((reader) => [1, 0.75, 0.5, 1.35].map((share) => ({ reader, share })));
type Way = (typeof WAYS)[number];
/** Larger pictures only take longer. Longest side, px. */
const LONGEST = 1800;

type Drawable = HTMLImageElement | HTMLVideoElement;
const sizeOf = (from: Drawable): [number, number] =>
  from instanceof HTMLVideoElement
    ? [from.videoWidth, from.videoHeight]
    : [from.naturalWidth, from.naturalHeight];

/** What the code in a picture says, read in one way; null when none is found. */
function readIn({ reader, share }: Way, from: Drawable): string | null {
  const [width, height] = sizeOf(from);
  const scale = share * Math.min(1, LONGEST / Math.max(width, height));
  if (!(width > 0 && height > 0)) return null;
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.drawImage(from, 0, 0, canvas.width, canvas.height);
  try {
    return reader.decodeFromCanvas(canvas).getText();
  } catch {
    return null; // the reader says "not found" by throwing
  }
}

/** Reads the code in a picture file. @returns null when none is found, or it is no picture */
export async function readPicture(file: Blob): Promise<string | null> {
  const url = URL.createObjectURL(file);
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    for (const way of WAYS) {
      const text = readIn(way, image);
      if (text !== null) return text;
    }
    return null;
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(url);
  }
}

const EVERY_MS = 200;

/**
 * Reads what the camera sees until `onText` says that it was the right one. Each frame is read in another way.
 * @returns stops it and lets the camera go
 * @throws as `getUserMedia` does, when there is no camera or it is not allowed
 */
export async function readCamera(
  video: HTMLVideoElement,
  onText: (text: string) => boolean,
): Promise<() => void> {
  const stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
  let frame = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stop = () => {
    clearTimeout(timer);
    for (const track of stream.getTracks()) track.stop();
    video.srcObject = null;
  };
  video.srcObject = stream;
  await video.play();
  const next = () => {
    const text = readIn(WAYS[frame++ % WAYS.length] as Way, video);
    if (text !== null && onText(text)) stop();
    else timer = setTimeout(next, EVERY_MS);
  };
  timer = setTimeout(next, EVERY_MS);
  return stop;
}
