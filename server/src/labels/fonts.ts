import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import fontkit from '@pdf-lib/fontkit';

/** The faces of the labels: the application's own, so that any letter of a name can be printed. */
interface Face {
  bytes: Uint8Array;
  /** Width of a line of text, in units of its size. */
  width(text: string): number;
}

export interface Faces {
  regular: Face;
  bold: Face;
}

let faces: Faces | null = null;

/** Read once, when the first label is printed. */
export function labelFaces(): Faces {
  return (faces ??= { regular: face('400Regular'), bold: face('700Bold') });
}

function face(weight: '400Regular' | '700Bold'): Face {
  const require = createRequire(__filename);
  const folder = dirname(require.resolve('@expo-google-fonts/atkinson-hyperlegible/package.json'));
  const bytes = new Uint8Array(readFileSync(join(folder, weight, `AtkinsonHyperlegible_${weight}.ttf`)));
  const font = fontkit.create(bytes);
  const widths = new Map<string, number>();
  return {
    bytes,
    width(text) {
      const found = widths.get(text) ?? font.layout(text).advanceWidth / font.unitsPerEm;
      widths.set(text, found);
      return found;
    },
  };
}
