/** What can go into a spreadsheet and come out of one. */
export const SHEETS = ['log', 'captures', 'stock'] as const;
export type SheetKind = (typeof SHEETS)[number];

/** What a column holds. */
export interface Field {
  id: string;
  /** Its head, as it is written on the way out. */
  head: string;
  /** Heads that others write for the same. */
  names: RegExp;
  /** A row without it says nothing. */
  needed?: boolean;
}

const DATE: Field = {
  id: 'date',
  head: 'date',
  names: /^(date|day|datum|tag|when|caught|eventdate|at)\b/i,
  needed: true,
};
const TIME: Field = { id: 'time', head: 'time', names: /^(time|zeit|uhrzeit|eventtime)\b/i };
const NOTE: Field = { id: 'note', head: 'note', names: /^(notes?|remarks?|comments?|bemerkung|notiz|text)/i };

/** The columns of each sheet; of what is not among them nothing is read. */
export const FIELDS: Record<SheetKind, readonly Field[]> = {
  log: [
    { id: 'queen', head: 'queen', names: /^(queen|label|name|colony|königin|kolonie|tube)$/i, needed: true },
    DATE,
    TIME,
    { id: 'eggs', head: 'eggs', names: /^(eggs?|eier)\b/i },
    { id: 'larvae', head: 'larvae', names: /^(larva|larvae|larven)\b/i },
    { id: 'pupae', head: 'pupae', names: /^(pupa|pupae|cocoons?|puppen)\b/i },
    { id: 'workers', head: 'workers', names: /^(workers?|nanitics?|arbeiterinnen)\b/i },
    { id: 'seen', head: 'queen seen', names: /^(queen )?(seen|alive|gesehen)\b/i },
    { id: 'food', head: 'food', names: /^(food|fed|feed(ing)?|meal|futter|gefüttert)\b/i },
    { id: 'water', head: 'water line mm', names: /^water/i },
    NOTE,
    { id: 'entry', head: 'entry id', names: /^entry ?id$/i },
  ],
  captures: [
    {
      id: 'label',
      head: 'queen',
      names: /^(queen|label|organismname|name|königin|tube|colony|kolonie|röhrchen)$/i,
      needed: true,
    },
    { id: 'species', head: 'species', names: /^(species|scientificname|art)$/i },
    DATE,
    TIME,
    { id: 'batch', head: 'batch', names: /^(batch|group)$/i },
    { id: 'found', head: 'found', names: /^(found|how|origin|herkunft)\b/i },
    { id: 'where', head: 'where', names: /^(where|site|location|locality|fundort|ort)$/i },
    { id: 'place', head: 'place', names: /^(place|kept|kept (at|in)|shelf|drawer|room|standort|raum)$/i },
    { id: 'lat', head: 'latitude', names: /^(lat|latitude|decimallatitude)$/i },
    { id: 'lon', head: 'longitude', names: /^(lon|lng|long|longitude|decimallongitude)$/i },
    { id: 'uncertainty', head: 'uncertainty m', names: /uncertainty/i },
    NOTE,
  ],
  stock: [
    { id: 'name', head: 'name', names: /^(name|item|thing|what)$/i, needed: true },
    { id: 'kind', head: 'kind', names: /^(kind|type|art)$/i },
    {
      id: 'count',
      head: 'count',
      names: /^(count|number|amount|pieces|quantity|anzahl|menge)\b/i,
      needed: true,
    },
    { id: 'low', head: 'low at', names: /^(low|minimum|min)\b/i },
  ],
};

export const headOf = (kind: SheetKind, id: string): string =>
  FIELDS[kind].find((f) => f.id === id)?.head ?? id;
