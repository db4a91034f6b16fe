import { practice, prior, type Figure } from '../species';
import { AT_ONCE_DAYS, WORKERS_AGE_SHARE } from '../founding';
import { LEAKS_TIMES } from '../tube';
import { DANGER_C } from '../warmth';

/** A figure of practice: its value, what it counts, what it means, who says so, and of which school it is. */
export interface PracticeFigure extends Figure<number> {
  unit: 'days' | 'hours' | '°C' | 'share' | 'looks' | 'workers' | 'eggs' | 'mm' | 'times' | 'refusals';
  means: string;
  school?: string;
}

type Unit = PracticeFigure['unit'];
const common = (value: number, unit: Unit, means: string, school?: string): PracticeFigure => ({
  ...practice(value),
  unit,
  means,
  ...(school ? { school } : {}),
});
const own = (value: number, unit: Unit, means: string, why = 'our own, held loosely'): PracticeFigure => ({
  ...prior(value, why),
  unit,
  means,
});

/** Every figure that a rule goes by, once. The field guide's tables and all sentences are made from these. */
export const PRACTICE = {
  // looking
  settleDays: common(7, 'days', 'a first look sooner after settling is never needed'),
  weeklyDays: common(7, 'days', 'between disturbances', 'weekly'),
  fortnightDays: common(14, 'days', 'between disturbances', 'every two weeks'),
  threeWeeksDays: common(21, 'days', 'between disturbances', 'every three to four weeks'),
  withWorkersDays: common(7, 'days', 'between looks once workers are out'),
  openWaitDays: own(28, 'days', 'hands off waits so long when no date for workers can be given'),
  lookSlackDays: own(14, 'days', 'a planned look may wait'),
  periodDays: own(28, 'days', 'over which disturbances are added up'),
  mostQuietDays: own(28, 'days', 'the longest quiet that disturbances of the past can ask for'),
  oneVisitHours: own(3, 'hours', 'entries nearer together are one opening'),
  // what disturbs
  weightIntake: own(1, 'looks', 'being taken in'),
  weightLook: own(1, 'looks', 'a look'),
  weightFeedCell: own(0.5, 'looks', 'a feed that opens her cell'),
  weightFeedOutside: own(0.05, 'looks', 'a feed into a foraging space or an outer room'),
  weightMove: own(1.5, 'looks', 'being carried to another place'),
  weightKnock: own(1, 'looks', 'a bump'),
  weightHealth: own(1, 'looks', 'being looked over'),
  weightBeside: own(0.2, 'looks', 'a tube set beside hers, joined, covered, lit or taken away'),
  weightWater: own(0.05, 'looks', 'her home wetted from outside'),
  weightWaterOpen: own(0.5, 'looks', 'her home opened to be wetted'),
  weightByHand: own(2, 'looks', 'being brought into another tube by hand'),
  restlessPerWeek: common(
    1,
    'looks',
    'more disturbance in a week makes queens stop laying or eat their brood',
  ),
  // food
  mustEatFromDays: common(2, 'days', 'a queen that must eat is offered food again from then on'),
  mustEatByDays: common(4, 'days', 'and at the latest by then'),
  hungryAfterDays: own(5, 'days', 'without a meal: a queen that must eat hungers'),
  mustEatProteinDays: own(8, 'days', 'sugar alone for longer while larvae are there: protein is missing'),
  peaceDays: common(7, 'days', 'of peace before a queen of unknown type is offered food'),
  offerAgainDays: common(14, 'days', 'until a queen that refused protein is asked again'),
  offerSlackDays: own(7, 'days', 'such an offer may wait'),
  refusals: common(3, 'refusals', 'in a row are named'),
  hardenDays: common(4, 'days', 'first workers harden before the first feed; “a few days”'),
  cameWithHerDays: own(1, 'days', 'a colony that came whole settles before its first feed'),
  proteinAfterSugarDays: common(2, 'days', 'from the first sugar to the first protein; “a few days”'),
  proteinAfterSugarByDays: common(4, 'days', 'and not later'),
  weeklyFeedDays: common(7, 'days', 'between feeds of a colony of a few workers'),
  twiceWeeklyFeedDays: common(4, 'days', 'between feeds of a grown colony'),
  rushedSooner: own(0.5, 'times', 'as long until the next feed, where they rushed at the last'),
  fewWorkers: own(8, 'workers', 'up to so many are fed weekly'),
  colonyProteinDays: own(14, 'days', 'a colony with larvae without protein for longer: it is missing'),
  feedSlackDays: own(3, 'days', 'a feed of a colony may wait'),
  // what was offered has an end
  dropHours: common(6, 'hours', 'free liquid or a swab with a founding queen; “a few hours”'),
  proteinHours: common(24, 'hours', 'protein anywhere'),
  sugarWithWorkersHours: common(24, 'hours', 'sugar on foil with workers'),
  outsideSugarDays: own(2, 'days', 'sugar in an outer room or foraging space; “days”'),
  dishDays: own(3, 'days', 'a dish in a foraging space; “days”'),
  feederDays: common(10, 'days', 'a sugar feeder; “one to two weeks”'),
  seedsDays: own(28, 'days', 'dry seeds'),
  leavesDays: own(2, 'days', 'fresh leaves for a fungus; what wilts comes out'),
  takeOutWithinHours: own(2, 'hours', 'what is due to come out is taken out within'),
  takeOutSoonHours: own(12, 'hours', 'before its end food that stands is told of'),
  // water
  waterAgainDays: common(1, 'days', 'a home is wetted no more often: too wet brings mould'),
  freshHomeEarlyDays: own(
    42,
    'days',
    'before the water may be gone a fresh tube is begun at the earliest',
    'a move takes weeks',
  ),
  freshHomeLateDays: own(21, 'days', 'and at the latest', 'a move takes weeks'),
  emptyLineMm: own(3, 'mm', 'from the closed end, and less: there is no water left'),
  lineRoseMm: own(5, 'mm', 'a line that rises by more is asked about'),
  newFillMm: own(15, 'mm', 'a line that rises by more is a new filling'),
  readLineDays: own(2, 'days', 'in which a line is read, on which much hangs'),
  lineUnreadDays: own(28, 'days', 'since her water line was read, and it is read before anything is moved'),
  leakTimes: own(LEAKS_TIMES, 'times', 'as fast as vapour can leave, and more: her water may leak'),
  standsTimes: own(0.25, 'times', 'as fast as vapour leaves, and less: no water may come through the plug'),
  winterCheckDays: common(30, 'days', 'between checks of the water in winter; “about monthly”'),
  winterCheckSoonestDays: own(
    7,
    'days',
    'between such checks at the least; within them half the time until she may be dry',
  ),
  winterCheckSlackDays: own(14, 'days', 'such a check may wait'),
  afterWakingDays: common(
    56,
    'days',
    'after waking nothing is said of never having mated; “lying still for weeks is usual”',
  ),
  freshLineDays: own(7, 'days', 'a water line read or a plug seen right counts as of now'),
  wakeSlackDays: own(14, 'days', 'waking her may wait after the day that was planned'),
  coldSavesWater: own(2.5, 'times', 'slower does water leave in the cold of winter'),
  mouldPatienceDays: common(10, 'days', 'a fresh tube is offered before the next step; “one to two weeks”'),
  // moving house
  brownWaterDays: own(14, 'days', 'brown water: a fresh home is offered within them'),
  blackWaterDays: own(2, 'days', 'black water: a fresh home is offered within them'),
  troubleAgainDays: own(14, 'days', 'until what is only watched is judged again'),
  cottonPulledDays: own(28, 'days', 'of pulled cotton: then the outer plug is made new'),
  cleanDays: own(14, 'days', 'in which dirt is taken out, at a feed'),
  nestShutDays: own(14, 'days', 'a nest that is joined stays shut, while they settle and feed beside it'),
  offerDays: common(14, 'days', 'a fresh tube is offered before the old one is lit; “two weeks is common”'),
  offerDryDays: own(3, 'days', 'where her plug is dry, soaked or leaking, or her water gone'),
  litDays: common(7, 'days', 'the old tube stands lit before the next step; “usual patience about a week”'),
  litDryDays: own(2, 'days', 'the same where she has no water, or drowns'),
  swapDays: own(3, 'days', 'after plugs were swapped, before anyone is brought over by hand'),
  moveStepDays: own(3, 'days', 'a step of a move is done within, where it presses'),
  moveStepCalmDays: own(7, 'days', 'and where it does not'),
  stragglerDays: own(7, 'days', 'for stragglers to follow queen and brood'),
  takeAwayDays: own(7, 'days', 'an old tube that all have left is taken away within'),
  // warmth
  dangerC: common(DANGER_C, '°C', 'and above is dangerous for most; “from the mid-thirties on”'),
  heatMarginC: own(0.5, '°C', 'above or below her best is still her best: a thermometer is off by as much'),
  readsBeyondC: own(3, '°C', 'above the warmest reading along her tube is believed of her cell, and no more'),
  coolSlackDays: own(2, 'days', 'a place that is too warm is cooled within'),
  warmSlackDays: own(14, 'days', 'a place that is too cool may wait'),
  nearFrostC: own(2, '°C', 'and colder: her water may freeze'),
  calmSwingC: own(3, '°C', 'between a day’s lowest and highest is calm'),
  wildSwingC: own(6, '°C', 'between them and more is a rapid swing'),
  heatLastsH: own(6, 'hours', 'after a dangerous reading the place is still asked about'),
  freshReadingH: own(3, 'hours', 'and older: a reading says nothing of now'),
  stuckHours: own(48, 'hours', 'of one and the same temperature: the probe may be stuck'),
  coldWeekDays: own(7, 'days', 'in which nothing develops, outside winter, are asked about'),
  winterStepC: own(4, '°C', 'at a time on the way into her winter and out of it, at the most'),
  winterStepDays: own(3, 'days', 'for each such step'),
  winterPlanSlackDays: own(7, 'days', 'within which a planned winter is begun'),
  dampBarrierShare: own(
    0.75,
    'share',
    'of humidity through a day, from which a barrier may no longer hold; that barriers fail in damp air is practice',
  ),
  coveredShare: own(0.7, 'share', 'of the hours must have been read before a day or a week is judged'),
  nearHeatMm: own(
    50,
    'mm',
    'from the tube and nearer a source of heat without a thermostat is hardly held by a room’s thermometer',
  ),
  // silence and brood
  askAfterDays: common(
    10,
    'days',
    'before that nobody asks why there are no eggs; “one to two weeks is usual”',
  ),
  askWhyDays: common(28, 'days', 'after that it is asked why there are no eggs; “after a month”'),
  neverBeforeDays: own(
    90,
    'days',
    'before that nobody is said to have perhaps never mated',
    'six months has happened',
  ),
  askAgainAfterLossDays: own(28, 'days', 'after lost brood, before new silence is asked about'),
  broodSeasonDays: own(240, 'days', 'lost brood is added up over so long'),
  helpAfterClutches: common(
    3,
    'times',
    'brood lost in a season before pupae of a sister colony are thought of; “a season”',
  ),
  boostLookFromDays: own(1, 'days', 'after brood was given to her it is looked at once, from then on'),
  boostLookBestDays: own(3, 'days', 'best then'),
  boostLookToDays: own(5, 'days', 'and by then'),
  boostTalkDays: own(21, 'days', 'what became of given brood is told so long'),
  causeCool: own(
    0.3,
    'times',
    'weighs a place below her best as a cause of silence, beside being early with 1 at most',
  ),
  causeDisturbed: own(0.5, 'times', 'weigh too many disturbances there'),
  causeHungry: own(0.8, 'times', 'weighs nothing eaten by a queen that must'),
  causeWater: own(0.6, 'times', 'weighs a fault of water, or mould'),
  causePlace: own(0.2, 'times', 'weighs each thing about her place that disturbs her'),
  causeSeason: own(1, 'times', 'weighs the cold season of a kind that rests'),
  lateCatchShare: own(0.1, 'share', 'of queens caught so late winter first: the season is named as a cause'),
  eggsStandDays: common(
    60,
    'days',
    'eggs in the warm and no larva: eaten and laid again, or not fertile; “two months”',
  ),
  smallClutch: own(12, 'eggs', 'and fewer: a small clutch'),
  larvaeStandDays: common(60, 'days', 'larvae in the warm and no pupa: they stand still; “two months”'),
  pupaeStandDays: common(35, 'days', 'pupae in the warm and no worker: they may be dead; “five weeks”'),
  lateShare: own(0.05, 'share', 'of her kind still without by then: she is late'),
  slowShare: own(0.2, 'share', 'of her kind still without by then: she is slow'),
  // losses
  alarmingShare: common(1 / 3, 'share', 'of the workers gone at once is alarming'),
  workersAgeShare: own(WORKERS_AGE_SHARE, 'share', 'of workers dies of age in a month'),
  atOnceDays: own(AT_ONCE_DAYS, 'days', 'between two looks, and more: nothing was lost at once'),
  severalDead: own(3, 'workers', 'dead between two looks are asked about'),
  severalShare: own(0.15, 'share', 'of the workers, when so many are several'),
  workersMiscounted: own(0.1, 'share', 'of the workers may be miscounted'),
  lookForHerDays: own(7, 'days', 'a queen that may be gone is looked for within'),
  partWithinDays: own(7, 'days', 'queens that fight are separated within'),
  lossToldDays: own(21, 'days', 'a loss of workers is asked about'),
  // health
  quarantineDays: own(14, 'days', 'a new queen stands beside, not among, the others'),
  quarantineSlackDays: own(14, 'days', 'looking her over at the end of it may wait'),
  findingToldDays: own(2, 'days', 'what was found is told at the head'),
  // growth
  grownWorkers: own(10, 'workers', 'from so many on founding is over'),
  spaceWorkers: common(15, 'workers', 'a small foraging space', 'about fifteen'),
  nestLarge: common(20, 'workers', 'a nest, for large kinds', 'by count'),
  nestSmall: common(30, 'workers', 'a nest, for small kinds, at the earliest', 'by count'),
  nestSmallBy: common(50, 'workers', 'a nest, for small kinds, at the latest', 'by count'),
  manyInTube: common(100, 'workers', 'in a tube: open it only inside a rimmed, ventilated box; “hundreds”'),
  spaceBestDays: own(7, 'days', 'a foraging space is best given within'),
  spaceSlackDays: own(28, 'days', 'and at the latest'),
  roomFromDays: own(1, 'days', 'a queen that must eat settles before she is given a room to eat in'),
  nestBestDays: own(14, 'days', 'a nest is best joined within'),
  nestSlackDays: own(42, 'days', 'and at the latest'),
  nestOverdueBestDays: own(3, 'days', 'the tube of many is best opened within'),
  nestOverdueDays: own(14, 'days', 'and at the latest'),
  largeWorkerMm: own(8, 'mm', 'long workers make a large kind'),
  roomAWorker: own(0.7, 'times', 'her length squared is what a worker needs of the floor'),
  tubeFullShare: own(0.6, 'share', 'of the floor taken: the tube is full'),
  nestEmptyShare: own(
    0.04,
    'share',
    'of the open floor of a nest taken by fewer workers: too large, and they foul it',
  ),
  tubePackedShare: own(0.9, 'share', 'of the floor taken: the tube is packed'),
} as const satisfies Record<string, PracticeFigure>;

export type PracticeId = keyof typeof PRACTICE;

/** The value of a figure of practice. */
export const figure = (id: PracticeId): number => PRACTICE[id].value;
