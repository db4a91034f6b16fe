import { asBefore } from '@gentle-burrow/core/founding';
import type { Place, StockMove } from '@gentle-burrow/core/facts';
import type { KindName } from '@gentle-burrow/core/log';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { ProfileOf } from '@gentle-burrow/core/species/catalogue';
import type { ReactNode } from 'react';
import type { ShownQueen } from '@/data/queries';
import type { FieldsProps } from '@/features/log/kind-form';
import { KIND_FORMS } from '@/features/log/kind-forms';

/** What can be written of several queens at once, the likeliest first: the same of each. */
export const MANY_KINDS = [
  'move',
  'feed',
  'look',
  'winter',
  'rest',
  'home',
  'identify',
  'note',
] as const satisfies readonly KindName[];
export type ManyKind = (typeof MANY_KINDS)[number];

/** A kind's form, whatever stands in it, as far as it serves for several. */
interface ManyForm {
  begin(shown: ShownQueen, body: null): object;
  finish(draft: object, shown: ShownQueen, at: Instant): object | null;
  needsText?: boolean;
  textLabel?: string;
  skips?(draft: object, shown: ShownQueen, profileOf: ProfileOf): string | null;
  forOther?(draft: object, from: ShownQueen, to: ShownQueen): object | null;
  makes?(draft: object): Place | null;
  uses?(draft: object, shown: ShownQueen): StockMove[];
  Fields?(props: FieldsProps<object>): ReactNode;
}

const NEVER_LOOKED = 'There is no look to compare with. Log the first look by itself.';

/** All as it was last counted, and she was seen. */
const lookAsBefore: ManyForm = {
  begin: () => ({}),
  finish(_, { view }) {
    const { kind: _kind, ...said } = asBefore(view.ledger);
    return said;
  },
  skips: (_, { view }) => (view.ledger.lastLook === null ? NEVER_LOOKED : null),
};

/** How each is written of several; a look says that all is as before. */
export const manyForm = (kind: ManyKind): ManyForm =>
  kind === 'look' ? lookAsBefore : (KIND_FORMS[kind] as unknown as ManyForm);
