/** With a capital at the beginning, as a sentence or an option begins. */
export const capital = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`;
