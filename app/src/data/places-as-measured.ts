import type { Place } from '@gentle-burrow/core/facts';
import { useMemo } from 'react';
import { useClimate } from './climate';
import { usePlaces } from './queries';

/** The places as they are reckoned with now: as measured, where that counts. To reckon with, never to be written back. */
export function usePlacesAsMeasured(): Place[] {
  const places = usePlaces();
  const { reckoned } = useClimate();
  return useMemo(
    () =>
      places.map((place) => {
        const as = reckoned.find((r) => r.placeId === place.id);
        return as ? { ...place, tempC: as.tempC, roomRelHumidity: as.roomRelHumidity } : place;
      }),
    [places, reckoned],
  );
}
