import type { EntryBody, FactEntry } from '@gentle-burrow/core/log';

/** What an entry says, without who it is about or when it was written. */
export const bodyOf = (entry: FactEntry): EntryBody => {
  const { id: _id, queenId: _queen, loggedAt: _logged, ...body } = entry;
  return body as EntryBody;
};
