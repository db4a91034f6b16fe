/** Languages in which the kinds that are kept or met most are searched too, beside English and Latin. */
type Language = 'de' | 'fr' | 'es' | 'pl';
type Names = Partial<Record<Language, string | readonly string[]>>;

/**
 * Everyday names of the kinds that keepers ask for most; common use, from memory. A language in which a kind has no name of its own
 * is left out: an invented name would be found by nobody.
 */
const EVERYDAY: Record<string, Names> = {
  lasius: { de: 'Wegameisen', fr: 'fourmis des jardins', es: 'hormigas de jardín', pl: 'hurtnice' },
  'lasius-niger': {
    de: ['Schwarze Wegameise', 'Schwarze Gartenameise', 'Schwarzgraue Wegameise'],
    fr: ['fourmi noire des jardins', 'fourmi noire'],
    es: 'hormiga negra de jardín',
    pl: ['hurtnica pospolita', 'hurtnica czarna'],
  },
  'lasius-flavus': {
    de: 'Gelbe Wiesenameise',
    fr: 'fourmi jaune',
    es: 'hormiga amarilla de los prados',
    pl: 'podziemnica zwyczajna',
  },
  'lasius-emarginatus': { de: 'Zweifarbige Wegameise' },
  'lasius-brunneus': { de: 'Rotrückige Hausameise' },
  'lasius-fuliginosus': {
    de: 'Glänzendschwarze Holzameise',
    fr: 'fourmi fuligineuse',
    pl: 'kartoniarka czarna',
  },
  'lasius-umbratus': { de: 'Schattenameise', pl: 'podziemnica cieniolubna' },
  'lasius-neglectus': { de: 'Vernachlässigte Wegameise', es: 'hormiga invasora de jardín' },
  camponotus: {
    de: ['Rossameisen', 'Holzameisen'],
    fr: 'fourmis charpentières',
    es: 'hormigas carpinteras',
    pl: 'gmachówki',
  },
  'camponotus-ligniperda': {
    de: 'Braunschwarze Rossameise',
    fr: 'fourmi charpentière',
    es: 'hormiga carpintera',
    pl: 'gmachówka drzewotoczna',
  },
  'camponotus-herculeanus': {
    de: 'Schwarze Rossameise',
    fr: 'fourmi charpentière hercule',
    pl: 'gmachówka cieśla',
  },
  'camponotus-vagus': {
    de: ['Haarige Holzameise', 'Schwarze Holzameise'],
    es: 'hormiga carpintera negra',
    pl: 'gmachówka pniowa',
  },
  'camponotus-pennsylvanicus': { fr: 'fourmi noire gâte-bois', es: 'hormiga carpintera negra del este' },
  'camponotus-japonicus': { de: 'Japanische Rossameise' },
  formica: { de: 'Waldameisen', fr: 'fourmis des bois', es: 'hormigas rojas de los bosques' },
  'formica-rufa': {
    de: 'Rote Waldameise',
    fr: 'fourmi rousse des bois',
    es: 'hormiga roja de los bosques',
    pl: 'mrówka rudnica',
  },
  'formica-pratensis': { de: ['Wiesen-Waldameise', 'Große Wiesenameise'], pl: 'mrówka łąkowa' },
  'formica-fusca': {
    de: 'Grauschwarze Sklavenameise',
    fr: 'fourmi noire cendrée',
    pl: 'pierwomrówka łagodna',
  },
  'formica-rufibarbis': { de: 'Rotbärtige Sklavenameise' },
  'formica-sanguinea': { de: 'Blutrote Raubameise', fr: 'fourmi sanguine', pl: 'zbójnica krwista' },
  'polyergus-rufescens': {
    de: 'Amazonenameise',
    fr: 'fourmi amazone',
    es: 'hormiga amazona',
    pl: 'mrówka amazonka',
  },
  cataglyphis: {
    de: 'Wüstenameisen',
    fr: 'fourmis du désert',
    es: 'hormigas del desierto',
    pl: 'mrówki pustynne',
  },
  oecophylla: {
    de: 'Weberameisen',
    fr: 'fourmis tisserandes',
    es: 'hormigas tejedoras',
    pl: 'mrówki tkaczki',
  },
  'oecophylla-smaragdina': { de: ['Grüne Weberameise', 'Asiatische Weberameise'], fr: 'fourmi tisserande' },
  'anoplolepis-gracilipes': {
    de: 'Gelbe Spinnerameise',
    fr: 'fourmi folle jaune',
    es: 'hormiga loca amarilla',
  },
  'paratrechina-longicornis': { fr: 'fourmi folle', es: 'hormiga loca' },
  'prenolepis-imparis': { de: 'Winterameise', fr: 'fourmi d’hiver', es: 'hormiga de invierno' },
  myrmecocystus: {
    de: 'Honigtopfameisen',
    fr: 'fourmis pot-de-miel',
    es: 'hormigas mieleras',
    pl: 'mrówki miodowe',
  },
  myrmica: { de: 'Knotenameisen', fr: 'fourmis rouges', es: 'hormigas rojas', pl: 'wścieklice' },
  'myrmica-rubra': {
    de: ['Rote Gartenameise', 'Rotgelbe Knotenameise'],
    fr: 'fourmi rouge',
    es: 'hormiga roja',
    pl: 'wścieklica zwyczajna',
  },
  'myrmica-ruginodis': { de: 'Waldknotenameise' },
  'manica-rubida': { de: ['Große Knotenameise', 'Alpenknotenameise'] },
  tetramorium: {
    de: 'Rasenameisen',
    fr: 'fourmis des trottoirs',
    es: 'hormigas del pavimento',
    pl: 'murawki',
  },
  'tetramorium-caespitum': {
    de: 'Rasenameise',
    fr: 'fourmi des gazons',
    es: 'hormiga del pavimento',
    pl: 'murawka darniowiec',
  },
  'tetramorium-immigrans': { de: 'Pflasterameise', fr: 'fourmi des trottoirs', es: 'hormiga del pavimento' },
  temnothorax: { de: 'Schmalbrustameisen', pl: 'wysmuklice' },
  'temnothorax-nylanderi': { de: 'Schmalbrustameise', fr: 'fourmi des glands' },
  crematogaster: { de: 'Akrobatenameisen', fr: 'fourmis acrobates', es: 'hormigas acróbatas' },
  'crematogaster-scutellaris': { fr: 'fourmi du liège', es: 'hormiga del corcho' },
  messor: {
    de: 'Ernteameisen',
    fr: 'fourmis moissonneuses',
    es: ['hormigas recolectoras', 'hormigas granívoras'],
    pl: 'mrówki żniwiarki',
  },
  'messor-barbarus': {
    de: 'Rotköpfige Ernteameise',
    fr: 'fourmi moissonneuse',
    es: ['hormiga cosechadora', 'hormiga recolectora'],
    pl: 'mrówka żniwiarka',
  },
  'messor-structor': {
    de: 'Ernteameise',
    fr: 'fourmi moissonneuse',
    es: 'hormiga recolectora',
    pl: 'mrówka żniwiarka',
  },
  pogonomyrmex: { de: 'Amerikanische Ernteameisen', es: 'hormigas cosechadoras' },
  'pogonomyrmex-barbatus': { es: 'hormiga roja cosechadora' },
  pheidole: { de: 'Dickkopfameisen', fr: 'fourmis à grosse tête', es: 'hormigas cabezonas' },
  'pheidole-megacephala': { fr: 'fourmi à grosse tête', es: 'hormiga cabezona' },
  'pheidole-pallidula': { de: 'Mediterrane Dickkopfameise' },
  'solenopsis-invicta': {
    de: 'Rote Feuerameise',
    fr: 'fourmi de feu',
    es: 'hormiga roja de fuego',
    pl: 'mrówka ognista',
  },
  'solenopsis-fugax': { de: 'Diebsameise', fr: 'fourmi voleuse', es: 'hormiga ladrona' },
  'monomorium-pharaonis': {
    de: 'Pharaoameise',
    fr: 'fourmi pharaon',
    es: 'hormiga faraona',
    pl: ['mrówka faraona', 'faraonka'],
  },
  'wasmannia-auropunctata': {
    de: 'Kleine Feuerameise',
    fr: 'fourmi électrique',
    es: 'pequeña hormiga de fuego',
  },
  atta: {
    de: 'Blattschneiderameisen',
    fr: 'fourmis coupe-feuilles',
    es: 'hormigas cortadoras de hojas',
    pl: 'mrówki grzybiarki',
  },
  acromyrmex: {
    de: 'Blattschneiderameisen',
    fr: 'fourmis coupe-feuilles',
    es: 'hormigas cortadoras de hojas',
  },
  'linepithema-humile': {
    de: 'Argentinische Ameise',
    fr: 'fourmi d’Argentine',
    es: 'hormiga argentina',
    pl: 'mrówka argentyńska',
  },
  'tapinoma-sessile': { fr: 'fourmi odorante', es: 'hormiga olorosa' },
  'tapinoma-melanocephalum': { de: 'Schwarzkopfameise', fr: 'fourmi fantôme', es: 'hormiga fantasma' },
  'dolichoderus-quadripunctatus': { de: 'Vierpunktameise', fr: 'fourmi à quatre points' },
  myrmecia: {
    de: 'Bulldoggenameisen',
    fr: 'fourmis bouledogues',
    es: 'hormigas bulldog',
    pl: 'mrówki buldogi',
  },
  odontomachus: { de: 'Schnappkieferameisen', fr: 'fourmis à mâchoires-pièges' },
  'paraponera-clavata': {
    de: ['24-Stunden-Ameise', 'Tropische Riesenameise'],
    fr: 'fourmi balle de fusil',
    es: 'hormiga bala',
  },
};

/** By which names of other languages a kind is found. */
export const everydayNames = (id: string): readonly string[] => Object.values(EVERYDAY[id] ?? {}).flat();

/** Kinds that have such names, by id. */
export const EVERYDAY_IDS: readonly string[] = Object.keys(EVERYDAY);
