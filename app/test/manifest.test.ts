import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const folder = join(__dirname, '..', 'public');
const manifest = JSON.parse(readFileSync(join(folder, 'manifest.webmanifest'), 'utf8')) as {
  id: string;
  description: string;
  icons: { src: string; type: string; sizes: string; purpose?: string }[];
  shortcuts: { name: string; url: string }[];
};

/** Width and height of a PNG (ISO/IEC 15948, 11.2.2: in its first chunk). */
function sizeOf(file: string): string {
  const bytes = readFileSync(join(folder, file));
  expect(bytes.subarray(1, 4).toString('latin1')).toBe('PNG');
  return `${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`;
}

test('each icon is there in the size that it is said to have, one of them to be cut to any shape', () => {
  const pictures = manifest.icons.filter((i) => i.type === 'image/png');
  for (const { src, sizes } of pictures) expect(sizeOf(src)).toBe(sizes);
  expect(pictures.map((i) => i.sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']));
  expect(pictures.some((i) => i.purpose === 'maskable')).toBe(true);
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  expect(page).toContain('rel="apple-touch-icon" href="/apple-touch-icon.png"');
  expect(sizeOf('apple-touch-icon.png')).toBe('180x180');
});

test('it says what it is, and each shortcut leads to a page', () => {
  expect(manifest.id).toBe('/');
  expect(manifest.description.length).toBeGreaterThan(20);
  expect(manifest.shortcuts.length).toBeGreaterThan(2);
  const pages = join(__dirname, '..', 'src', 'app');
  for (const { url } of manifest.shortcuts) {
    const page = url === '/' ? 'index' : url.slice(1);
    expect([`${page}.tsx`, join(page, 'index.tsx')].some((f) => existsSync(join(pages, f)))).toBe(true);
  }
});
