/** @jest-environment node */
import { encodingOf, plainText } from './text-file';

const file = (...parts: (string | Uint8Array)[]) => new File(parts as BlobPart[], 'table.csv');
const read = async (f: File) => (await plainText(f)).text();
/** As programs before UTF-8 wrote them: one byte a letter (WHATWG Encoding, index windows-1252). */
const WINDOWS = Uint8Array.from([0x54, 0x20, 0xb0, 0x43, 0x3b, 0xfc, 0x3b, 0x80, 0x0d, 0x0a]);

test('whatever its letters are written in, they are read', async () => {
  expect(await read(file('T °C;ü;€\n'))).toBe('T °C;ü;€\n');
  expect(await encodingOf(file(WINDOWS))).toBe('windows-1252');
  expect(await read(file(WINDOWS))).toBe('T °C;ü;€\n');
  const wide = Uint8Array.from([0xff, 0xfe, 0x54, 0x00, 0xb0, 0x00, 0x0d, 0x00, 0x0a, 0x00]);
  expect(await read(file(wide))).toBe('T°\n');
  expect(await read(file('﻿a;b\n'))).toBe('a;b\n');
});

test('line ends of several kinds in one file are each a line end', async () => {
  expect(await read(file('a\r\nb\nc\rd\r\n\r\ne'))).toBe('a\nb\nc\nd\n\ne');
});

test('what a part of a long file cuts in two stays whole', async () => {
  // 4 MB are read at a time: a line end and a letter of two bytes lie across that
  const before = 'x'.repeat(4 * 1024 * 1024 - 1);
  expect((await read(file(`${before}\r\nend`))).endsWith('x\nend')).toBe(true);
  expect((await read(file(`${before}°end`))).endsWith('x°end')).toBe(true);
});
