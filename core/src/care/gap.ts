import type { SpeciesProfile } from '../species';

/** What is known of the heads of a kind. */
export type Heads = { workerHeadMm: Pick<SpeciesProfile['workerHeadMm'], 'value'> };

/** How narrow gaps and meshes must be for a kind: "0.54 mm, the head of her kind’s smallest worker". */
export const narrowerThan = ({ workerHeadMm: { value } }: Heads): string =>
  `${value.low} mm, the head of her kind’s smallest worker`;
