/** What is needed to write an own profile down, and to read it: with its schemas. */
export { FIGURE_VALUES, founderTypeSchema } from './figure-schemas';
export {
  OWN_FORMAT,
  OWN_VERSION,
  ownDocument,
  ownDocumentJsonSchema,
  readOwnDocument,
  type ReadDocument,
} from './own-document';
export { ownKindSchema, type OwnKind } from './own-kind';
