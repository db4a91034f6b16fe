import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import type { Fact } from '../db/facts';
import { nameOf } from '../db/photos';
import type { Store } from '../db/store';
import { unhurried } from '../unhurried';
import { BACKUP_FORMAT, FACTS_FILE, MANIFEST_FILE, PHOTOS_FOLDER, type Manifest } from './manifest';

/** So much is handed on at once: whoever compresses or sends it takes a turn for each piece, and waits behind others for every turn. */
const PIECE = 64 * 1024;

/** Facts as lines of JSON, many in a piece; others are answered meanwhile. */
export async function* linesOf(facts: AsyncIterable<Fact>): AsyncGenerator<string> {
  let piece = '';
  for await (const fact of unhurried(facts)) {
    piece += `${JSON.stringify(fact)}\n`;
    if (piece.length < PIECE) continue;
    yield piece;
    piece = '';
  }
  if (piece) yield piece;
}

/**
 * Everything there is as one zip: the facts as lines of JSON, the photos, and a manifest with what there is and its checksums.
 * @returns the bytes as they are made; they fail when the database does
 */
export async function archiveOf(
  store: Pick<Store, 'allFacts' | 'photos'>,
  about: Pick<Manifest, 'version' | 'madeAt'>,
): Promise<Readable> {
  const zip = new ZipFile();
  const mtime = new Date(about.madeAt);
  const manifest: Manifest = {
    name: 'gentle-burrow-backup',
    format: BACKUP_FORMAT,
    ...about,
    counts: {},
    files: [],
  };
  const count = (what: string, n = 1) => (manifest.counts[what] = (manifest.counts[what] ?? 0) + n);
  // before the facts, so that of every picture the queen is there
  const photos = await store.photos.all();
  const queens = new Set<string>();

  async function* counted(): AsyncGenerator<Fact> {
    for await (const fact of store.allFacts()) {
      if (fact.fact === 'queen') queens.add(fact.value.id);
      if (fact.fact === 'readings') count('readings', fact.value.ms.length);
      else count(fact.fact);
      yield fact;
    }
  }
  async function* facts(): AsyncGenerator<Buffer> {
    const hash = createHash('sha256');
    let bytes = 0;
    for await (const piece of linesOf(counted())) {
      const out = Buffer.from(piece);
      hash.update(out);
      bytes += out.length;
      yield out;
    }
    manifest.files.push({ name: FACTS_FILE, bytes, sha256: hash.digest('hex') });
  }
  const out = zip.outputStream as Readable;
  const add = (name: string, compress: boolean, read: () => AsyncIterable<Buffer>) =>
    zip.addReadStreamLazy(name, { mtime, compress }, (ready) => {
      const part = Readable.from(read(), { objectMode: false });
      // who takes the bytes hears of it; nothing that is cut short looks whole
      part.on('error', (error) => out.destroy(error));
      ready(null, part);
    });

  add(FACTS_FILE, true, facts);
  for (const photo of photos)
    add(PHOTOS_FOLDER + nameOf(photo), false, async function* () {
      const bytes = await store.photos.read(photo.id, 'whole');
      if (!bytes || !queens.has(photo.queenId)) return;
      count('photo');
      manifest.files.push({
        name: PHOTOS_FOLDER + nameOf(photo),
        bytes: bytes.length,
        sha256: createHash('sha256').update(bytes).digest('hex'),
      });
      yield bytes;
    });
  add(MANIFEST_FILE, true, async function* () {
    yield Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`);
  });
  zip.end();
  return out;
}
