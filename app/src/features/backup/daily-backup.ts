import type { DailyBackup } from '@gentle-burrow/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '@/data/network';

export const DAILY_KEY = ['daily-backup'];

/** Where the daily backup goes, and how the last one went; undefined until it is known. */
export const useDaily = (): DailyBackup | undefined =>
  useQuery({ queryKey: DAILY_KEY, queryFn: () => call<DailyBackup>('/daily-backup') }).data;

/** @throws RefusedError saying why the folder cannot be used */
export const chooseFolder = (folder: string | null) =>
  // the first is made at once, however much there is
  call<DailyBackup>('/daily-backup', { method: 'PUT', body: { folder }, withinMs: Infinity });
