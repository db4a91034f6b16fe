export { FIELDS, headOf, SHEETS, type Field, type SheetKind } from './fields';
export { guessSheet, type SheetMapping } from './mapping';
export { sheetReader, unmeasuredPlace, type SheetContext, type SheetReader } from './read-sheet';
export { headsOf, logRows, stockRows, type SheetRow } from './write-sheet';
