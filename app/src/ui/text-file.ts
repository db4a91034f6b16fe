/** Read in parts of so many bytes: a logger's file may be longer than what fits the memory as one text. */
const PART_BYTES = 4 * 1024 * 1024;

export const ENCODINGS = ['utf-8', 'windows-1252', 'utf-16le', 'utf-16be'] as const;
export type Encoding = (typeof ENCODINGS)[number];

async function* partsOf(file: Blob): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < file.size; at += PART_BYTES)
    yield new Uint8Array(await file.slice(at, at + PART_BYTES).arrayBuffer());
}

/**
 * How the letters of a file are written: as its first bytes say, else UTF-8 when all of it can be read so, else Windows-1252, in which
 * older programs write °C and umlauts.
 */
export async function encodingOf(file: Blob): Promise<Encoding> {
  const [a, b] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const strict = new TextDecoder('utf-8', { fatal: true });
  try {
    for await (const part of partsOf(file)) strict.decode(part, { stream: true });
    strict.decode();
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/**
 * A table as plain text: whatever its encoding, in UTF-8, and whatever its line ends, even of several kinds in one file, with one kind. A
 * reader that guesses line ends from the first of them loses rows at the others.
 */
export async function plainText(file: File, encoding?: Encoding): Promise<File> {
  const decoder = new TextDecoder(encoding ?? (await encodingOf(file)));
  const parts: string[] = [];
  // a line end may be cut in two by the end of a part
  let held = '';
  for await (const bytes of partsOf(file)) {
    const text = held + decoder.decode(bytes, { stream: true });
    held = text.endsWith('\r') ? '\r' : '';
    parts.push((held ? text.slice(0, -1) : text).replace(/\r\n?/g, '\n'));
  }
  parts.push((held + decoder.decode()).replace(/\r\n?/g, '\n'));
  return new File(parts, file.name, { type: 'text/csv' });
}
