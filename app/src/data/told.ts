import type { UseQueryResult } from '@tanstack/react-query';

/**
 * Whether the server has told, or nobody can tell now. Until then nothing may be said to be missing, and nothing that can
 * be tapped may stand below what is still to come: it would move away from under the finger.
 */
export const told = ({
  data,
  isError,
  fetchStatus,
}: Pick<UseQueryResult, 'data' | 'isError' | 'fetchStatus'>): boolean =>
  data !== undefined || isError || fetchStatus === 'paused';
