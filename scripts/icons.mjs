// `node scripts/icons.mjs`: the pictures by which a device shows the application, drawn from app/public/icon.svg. Kept with the source.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';

const folder = join(import.meta.dirname, '..', 'app', 'public');
const svg = readFileSync(join(folder, 'icon.svg'), 'utf8');

/** A device may cut an icon to any shape within which the middle four fifths stay: the ground reaches to the edge, the tube stays within. */
const maskable = svg
  .replace(/ rx="14"/, '')
  .replace('viewBox="0 0 64 64"', 'viewBox="-8 -8 80 80"')
  .replace('<rect width="64" height="64"', '<rect x="-8" y="-8" width="80" height="80"');
/** Corners are rounded by the telephone itself. */
const square = svg.replace(/ rx="14"/, '');

for (const [name, drawing, px] of [
  ['icon-192.png', svg, 192],
  ['icon-512.png', svg, 512],
  ['icon-maskable-512.png', maskable, 512],
  ['apple-touch-icon.png', square, 180],
])
  await sharp(Buffer.from(drawing), { density: (72 * px) / 64 })
    .resize(px, px)
    .png()
    .toFile(join(folder, name));
