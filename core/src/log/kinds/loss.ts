import { z } from 'zod';
import { CERTAINTIES, instantSchema, LOSS_CAUSES, LOSS_WAYS } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

export const lossSchema = z.object({
  kind: z.literal('loss'),
  at: instantSchema,
  how: z.enum(LOSS_WAYS),
  cause: z.enum(LOSS_CAUSES).default('unknown'),
  /** How sure the keeper is of the cause. */
  certainty: z.enum(CERTAINTIES).optional(),
  /** Workers and brood live on without her. */
  colonyGoesOn: z.boolean().optional(),
  text: noteText.optional(),
});

export const loss = defineKind({
  kind: 'loss',
  schema: lossSchema,
  disturbs: () => null,
  refersTo: () => ({}),
});
