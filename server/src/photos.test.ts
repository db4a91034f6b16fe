import { mkdtempSync, readdirSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { openFiles } from './db/files';
import { openDb } from './db/open';
import { Store } from './db/store';
import { daysAgo, factsOf, MIGRATIONS, newQueen, testServer } from './test-kit';

let server: Awaited<ReturnType<typeof testServer>>;
let app: typeof server.app;
const her = newQueen('Photographed');

beforeAll(async () => {
  server = await testServer();
  app = server.app;
  await server.store.write(factsOf(her));
}, 60_000);
afterAll(() => server.close());

/** Wide, red on the left and blue on the right; held upright by a camera that says so, and where it was. */
async function taken(): Promise<Buffer> {
  const half = (color: string) =>
    sharp({ create: { width: 1500, height: 1000, channels: 3, background: color } })
      .png()
      .toBuffer();
  return sharp({ create: { width: 3000, height: 1000, channels: 3, background: '#ffffff' } })
    .composite([
      { input: await half('#c00000'), left: 0, top: 0 },
      { input: await half('#0000c0'), left: 1500, top: 0 },
    ])
    .withExif({
      IFD0: { Make: 'Pretend', Orientation: '6' },
      IFD3: {
        GPSLatitudeRef: 'N',
        GPSLatitude: '52/1 31/1 0/1',
        GPSLongitudeRef: 'E',
        GPSLongitude: '13/1 24/1 0/1',
      },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
}

const send = (
  id: string,
  body: Buffer,
  { type = 'image/jpeg', queen = her.queen.id, at = daysAgo(1) } = {},
) =>
  app.inject({
    method: 'PUT',
    url: `/api/photos/${id}?queen=${queen}&at=${encodeURIComponent(at)}`,
    headers: { 'content-type': type },
    payload: body,
  });

/** Markers of a JPEG's segments, walked by hand (ITU-T T.81, annex B). */
function segments(jpeg: Buffer): number[] {
  const found: number[] = [];
  let i = 2;
  while (i < jpeg.length && jpeg[i] === 0xff) {
    const marker = jpeg[i + 1] as number;
    found.push(marker);
    if (marker === 0xda) break;
    i += 2 + jpeg.readUInt16BE(i + 2);
  }
  return found;
}
const APP1_EXIF = 0xe1;

test('a picture is kept upright and smaller, with a thumbnail, and without place or camera', async () => {
  const original = await taken();
  // the test itself: there is something to take away
  expect(segments(original)).toContain(APP1_EXIF);
  expect(original.includes('Pretend')).toBe(true);
  const id = v7();
  expect((await send(id, original)).statusCode).toBe(201);
  const whole = await app.inject(`/api/photos/${id}`);
  expect(whole.headers['content-type']).toBe('image/jpeg');
  expect(whole.headers['cache-control']).toContain('immutable');
  expect(segments(whole.rawPayload)).not.toContain(APP1_EXIF);
  for (const word of ['Exif', 'Pretend', 'GPS']) expect(whole.rawPayload.includes(word)).toBe(false);
  // turned by a quarter: what was left is on top
  expect(await sharp(whole.rawPayload).metadata()).toMatchObject({ width: 667, height: 2000 });
  const top = await sharp(whole.rawPayload)
    .extract({ left: 300, top: 50, width: 1, height: 1 })
    .raw()
    .toBuffer();
  expect(top[0]).toBeGreaterThan(150);
  expect(top[2]).toBeLessThan(60);
  const thumb = await app.inject(`/api/photos/${id}/thumb`);
  expect(await sharp(thumb.rawPayload).metadata()).toMatchObject({ height: 320 });
  const list = (await app.inject(`/api/queens/${her.queen.id}/photos`)).json();
  expect(list.photos).toEqual([{ id, at: daysAgo(1), width: 667, height: 2000 }]);
});

test('what it is is told by its content, not by its name or header', async () => {
  const png = await sharp({ create: { width: 20, height: 10, channels: 4, background: '#00000000' } })
    .png()
    .toBuffer();
  const id = v7();
  expect((await send(id, png, { type: 'application/octet-stream' })).statusCode).toBe(201);
  expect((await app.inject(`/api/photos/${id}`)).rawPayload.subarray(0, 2)).toEqual(
    Buffer.from([0xff, 0xd8]),
  );
  for (const nonsense of [
    Buffer.from('just some words'),
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
    Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), Buffer.alloc(200, 7)]),
  ]) {
    const refused = await send(v7(), nonsense);
    expect(refused.statusCode).toBe(415);
    expect(refused.json().error.message).toMatch(/no picture that can be read/);
  }
});

test('too large, too many pixels, of nobody, or from tomorrow: refused with a sentence', async () => {
  expect((await send(v7(), Buffer.alloc(17 * 1024 * 1024))).json().error).toMatchObject({
    code: 'photo-too-large',
  });
  const vast = await sharp({ create: { width: 9000, height: 9000, channels: 3, background: '#fff' } })
    .png({ compressionLevel: 1 })
    .toBuffer();
  expect((await send(v7(), vast)).json().error).toMatchObject({ code: 'too-many-pixels' });
  const small = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#fff' } })
    .png()
    .toBuffer();
  expect((await send(v7(), small, { queen: v7() })).statusCode).toBe(404);
  expect((await send(v7(), small, { at: daysAgo(-2) })).statusCode).toBe(422);
  expect((await app.inject(`/api/photos/${v7()}`)).json().error).toMatchObject({ code: 'no-such-photo' });
});

test('sent twice it is kept once; another picture under its id is refused, not dropped in silence', async () => {
  const [a, b] = await Promise.all(
    ['#ff0000', '#00ff00'].map((background) =>
      sharp({ create: { width: 30, height: 30, channels: 3, background } })
        .png()
        .toBuffer(),
    ),
  );
  const id = v7();
  await send(id, a as Buffer);
  const first = (await app.inject(`/api/photos/${id}`)).rawPayload;
  expect((await send(id, a as Buffer)).statusCode).toBe(201);
  const other = await send(id, b as Buffer);
  expect([other.statusCode, other.json().error.code]).toEqual([409, 'id-taken']);
  expect((await send(id, a as Buffer, { at: daysAgo(9) })).statusCode).toBe(409);
  expect((await app.inject(`/api/photos/${id}`)).rawPayload).toEqual(first);
});

test('what a power cut took from the database is put back from the files', async () => {
  const root = mkdtempSync(join(tmpdir(), 'burrow-photos-'));
  const dir = join(root, 'photos');
  const empty = async () => new Store(await openDb({ migrationsFolder: MIGRATIONS }), openFiles(root));
  const before = await empty();
  await before.prepare();
  await before.write(factsOf(her));
  const id = v7();
  await before.photos.keep({ id, queenId: her.queen.id, at: new Date(daysAgo(3)) }, await taken());
  expect(readdirSync(dir)).toEqual([expect.stringMatching(new RegExp(`^${id}.*\\.jpg$`))]);
  // cut short by a full disk, it is written anew when it is sent again
  const [name] = readdirSync(dir);
  const file = join(dir, name as string);
  const whole = readFileSync(file);
  truncateSync(file, 200);
  await before.photos.keep({ id, queenId: her.queen.id, at: new Date(daysAgo(3)) }, await taken());
  expect(readFileSync(file)).toEqual(whole);
  await before.close();
  // another was being written when the current failed
  writeFileSync(join(dir, `${v7()}.${her.queen.id}.0.jpg.part`), 'half a pic');
  // another database that knows nothing of it, nor of her
  const after = await empty();
  expect(await after.prepare()).toEqual({ replayed: 2 });
  expect(await after.photos.of(her.queen.id)).toMatchObject([{ id, width: 667, height: 2000 }]);
  expect(await after.photos.prepare()).toBe(0);
  await after.close();
}, 60_000);
