import { Linking } from 'react-native';
import { zoneNow } from './dates';

/** An address of a file with the keeper's time zone: its days are those of the page, wherever the server stands. */
export const inZone = (path: string): string =>
  `${path}${path.includes('?') ? '&' : '?'}zone=${encodeURIComponent(zoneNow())}`;

/** Saves what the browser made itself. */
export function saveBlob(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // the browser has taken it by then
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** Opens a file of the server, with the days of the keeper. */
export const download = (path: string): void => void Linking.openURL(inZone(path));
