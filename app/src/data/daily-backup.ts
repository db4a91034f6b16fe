import type { DailyBackup } from '@gentle-burrow/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from './network';
import { told } from './told';

export const DAILY_KEY = ['daily-backup'];

export const dailyQuery = { queryKey: DAILY_KEY, queryFn: () => call<DailyBackup>('/daily-backup') };

/** Where the daily backup goes, and how the last one went; undefined until it is known. */
export const useDaily = (): DailyBackup | undefined => useQuery(dailyQuery).data;

/** Whether that is known, or nobody can tell it now. */
export const useDailyTold = (): boolean => told(useQuery(dailyQuery));

/** @throws RefusedError saying why the folder cannot be used */
export const chooseFolder = (folder: string | null) =>
  // the first is made at once, however much there is
  call<DailyBackup>('/daily-backup', { method: 'PUT', body: { folder }, withinMs: Infinity });
