import { BrowserQRCodeReader } from '@zxing/browser';

const reader = new BrowserQRCodeReader();

/**
 * Sizes at which a picture is read, one after the other. The reader finds most codes at any of them, but at each it
 * misses a few in a hundred, other ones: the module grid falls badly on the pixels.
 */
const SHARES = [1, 0.75, 0.5, 1.35];
/** Larger pictures only take longer. Longest side, px. */
const LONGEST = 1800;

type Drawable = HTMLImageElement | HTMLVideoElement;
const sizeOf = (from: Drawable): [number, number] =>
  from instanceof HTMLVideoElement
    ? [from.videoWidth, from.videoHeight]
    : [from.naturalWidth, from.naturalHeight];

/** What the code in a picture says, read at one size; null when none is found. */
function readAt(from: Drawable, share: number): string | null {
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
    for (const share of SHARES) {
      const text = readAt(image, share);
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
 * Reads what the camera sees until `onText` says that it was the right one. Each frame is read at another size.
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
    const text = readAt(video, SHARES[frame++ % SHARES.length] as number);
    if (text !== null && onText(text)) stop();
    else timer = setTimeout(next, EVERY_MS);
  };
  timer = setTimeout(next, EVERY_MS);
  return stop;
}
