import { Linking } from 'react-native';
import { zoneNow } from './dates';

/** An address of a file with the keeper's time zone: its days are those of the page, wherever the server stands. */
export const inZone = (path: string): string =>
  `${path}${path.includes('?') ? '&' : '?'}zone=${encodeURIComponent(zoneNow())}`;

/** Opens a file of the server, with the days of the keeper. */
export const download = (path: string): void => void Linking.openURL(inZone(path));
