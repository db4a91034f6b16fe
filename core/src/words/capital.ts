/** The same words with a capital at their head. */
export const capital = (words: string): string => `${words.slice(0, 1).toUpperCase()}${words.slice(1)}`;
