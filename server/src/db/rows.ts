import type { HomePart, Place, Queen, StockMove } from '@gentle-burrow/core/facts';
import { corrected, placeIdNow, type Entry } from '@gentle-burrow/core/log';
import type { QueenFacts } from '@gentle-burrow/core/view';
import type { LightSchoolId, LookingSchoolId, PatienceSchoolId } from '@gentle-burrow/core/vocabulary';
import type * as t from './schema';

/** A queen's facts as corrected, with the places she has stood in, the present one first. */
export function gather(
  written: Queen,
  first: HomePart,
  entries: ReadonlyMap<string, Entry[]>,
  places: ReadonlyMap<string, Place>,
): QueenFacts {
  const mine = entries.get(written.id) ?? [];
  const { queen, home } = corrected({ queen: written, home: first, entries: mine });
  const stood = new Set([queen.placeId]);
  for (const e of mine) {
    const body = e.kind === 'amendment' ? e.replacement : e;
    if (body?.kind === 'move') stood.add(body.placeId);
    if (body?.kind === 'winter' && body.plan)
      [body.plan.placeId, body.plan.thenPlaceId].forEach((id) => stood.add(id));
  }
  const place = places.get(placeIdNow(queen, mine)) as Place;
  return { queen, home, place, places: [...stood].flatMap((id) => places.get(id) ?? []), entries: mine };
}

export function toQueen(r: typeof t.queens.$inferSelect): Queen {
  return {
    id: r.id,
    label: r.label,
    batch: r.batch,
    homeId: r.homeId,
    placeId: r.placeId,
    lookingSchool: r.lookingSchool as LookingSchoolId | null,
    ...(r.lightSchool ? { lightSchool: r.lightSchool as LightSchoolId } : {}),
    ...(r.patienceSchool ? { patienceSchool: r.patienceSchool as PatienceSchoolId } : {}),
    createdAt: r.createdAt.toISOString(),
  };
}

export function toPlace(r: typeof t.places.$inferSelect): Place {
  return {
    id: r.id,
    name: r.name,
    tempC: r.tempC,
    roomRelHumidity: r.roomRelHumidity,
    winter:
      r.winterUntil && r.winterThenTempC !== null
        ? { until: r.winterUntil.toISOString(), thenTempC: r.winterThenTempC }
        : null,
    ...(r.spot ? { spot: r.spot } : {}),
  };
}

export const toHome = ({ id, kind, body, setUpAt }: typeof t.homes.$inferSelect): HomePart =>
  ({ id, kind, ...body, setUpAt: setUpAt.toISOString() }) as HomePart;

export const toMove = (m: typeof t.stockMoves.$inferSelect): StockMove => ({ ...m, at: m.at.toISOString() });
