import type { Region } from './figures';
import type { KindCard } from './card';

/** Species that fly in a month in a part of the world, by name. What has no months that are known is not among them. */
export const flyingIn = <K extends Pick<KindCard, 'rank' | 'regions' | 'flightMonths'>>(
  kinds: readonly K[],
  northMonth: number,
  region: Region,
): K[] =>
  kinds.filter(
    (k) => k.rank === 'species' && k.regions.includes(region) && k.flightMonths.value.includes(northMonth),
  );

/** On which side of the equator a part of the world lies; the keeper's own where it lies on both. */
export const hemisphereOf = (region: Region, keepers: 'north' | 'south'): 'north' | 'south' =>
  region === 'Australia' ? 'south' : ['Europe', 'Asia', 'North America'].includes(region) ? 'north' : keepers;

/** Where a keeper probably lives, by the name of the time zone; for a first guess that can be changed. */
export function regionOfZone(zone: string): Region {
  const [area = '', place = ''] = zone.split('/');
  if (area === 'Asia') return 'Asia';
  if (area === 'Africa' || area === 'Indian') return 'Africa';
  if (area === 'Australia' || area === 'Pacific') return 'Australia';
  if (area === 'America') return SOUTH.test(place) ? 'South America' : 'North America';
  return 'Europe';
}
const SOUTH =
  /^(Araguaina|Argentina|Asuncion|Bahia|Belem|Boa_Vista|Bogota|Buenos_Aires|Campo_Grande|Caracas|Cayenne|Cuiaba|Eirunepe|Fortaleza|Guayaquil|Guyana|La_Paz|Lima|Maceio|Manaus|Montevideo|Paramaribo|Porto_Velho|Recife|Rio_Branco|Santarem|Santiago|Sao_Paulo)$/;
