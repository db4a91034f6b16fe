/** Letters that are not taken apart into a plain one and its mark. */
const LETTERS: Record<string, string> = { ß: 'ss', ł: 'l', æ: 'ae', œ: 'oe', ø: 'o' };
/** In small letters without marks, so that who types without them finds it too. */
export const plainLetters = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[ßłæœø]/g, (letter) => LETTERS[letter] as string);
