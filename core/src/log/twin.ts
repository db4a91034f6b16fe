import type { BodyOf } from './entry';

/**
 * The id of the entry that says the same in another log: its last digit is another. What is written into two logs at once
 * is found again, put right and taken back in both without either naming the other.
 * @param id a UUID
 */
export const twinId = (id: string): string => id.slice(0, -1) + (parseInt(id.slice(-1), 16) ^ 1).toString(16);

/** An act that concerns two colonies, as it stands in the log of the other. */
export const seenByOther = (body: BodyOf<'brood'>, queenId: string): BodyOf<'brood'> => ({
  ...body,
  way: body.way === 'given' ? 'received' : 'given',
  otherId: queenId,
});
