import { Words } from '@/ui/Words';
import type { KindForm } from '../../kind-form';

export const knock: KindForm<'knock'> = {
  deed: 'Tube was bumped',
  keep: 'Keep this bump',
  kept: () => 'Bump kept: it counts like a look.',
  textLabel: 'What happened',
  begin: () => ({}),
  finish: () => ({}),
  Fields: () => (
    <Words kind="small" soft>
      Dropped, shaken or knocked, not on purpose. It disturbs her like a look.
    </Words>
  ),
};
