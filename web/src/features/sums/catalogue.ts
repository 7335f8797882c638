import { texts } from './texts'
import { tell } from './measures'
import type { Answer, Given } from './queries'
import { answerWord, choiceFor } from './words'

export type Values = Answer['values']
/** A sum as it stands on its page. */
export interface Page {
  name: string
  /** As a keeper asks it. */
  question: string
  group: string
  /** The answer in one sentence. */
  says: (values: Values, given?: Given) => string
  /** How far to trust it, in one honest sentence; none where it is exact but for what was given. */
  unsure?: string
  /** Fields that are folded away until somebody wants them; without a list, those that rules of thumb fill. */
  finer?: string[]
  /** What to mind before hands go to work. */
  caution?: string
}

export const GROUPS = [
  'Water',
  'Flow',
  'Media',
  texts.foamAndPaper,
  'Cost',
  texts.sumpAndSalt,
  'Cleaning',
  'Units',
]

const CENT = 0.005
const number = (values: Values, name: string) => Number(values[name])
const litres = (values: Values, name: string) => tell('LITRES', number(values, name))
const percent = (values: Values, name: string) => tell('SHARE', number(values, name))
const some = (count: number, one: string, many = `${one}s`) => `${String(count)} ${count === 1 ? one : many}`

export const PAGES: Page[] = [
  {
    name: 'change',
    question: texts.howMuchWaterComes,
    group: 'Water',
    says: (v) =>
      texts.inAllOfThe(
        litres(v, 'totalL'),
        percent(v, 'share'),
        v.dropMm === undefined ? '' : texts.theLevelFallsBy(tell('MILLIMETRES', number(v, 'dropMm'))),
      ),
    unsure: texts.stonesSandAndRoots,
  },
  {
    name: 'mix',
    question: texts.howMuchHotWater,
    group: 'Water',
    says: (v) => texts.hotAndCold(litres(v, 'hotL'), litres(v, 'coldL')),
    unsure: texts.aHotTapStarts,
  },
  {
    name: 'conditioner',
    question: texts.howMuchConditioner,
    group: 'Water',
    says: (v) => texts.ofYours(tell('MILLILITRES', number(v, 'doseMl')), some(number(v, 'units'), 'measure')),
    unsure: texts.chlorineInTheTap,
    caution: texts.theProductsLabelComes,
  },
  {
    name: 'buckets',
    question: texts.isThereEnoughWater,
    group: 'Water',
    says: (v) =>
      texts.withEach(some(number(v, 'rinses'), 'rinse'), litres(v, 'litresEach'), answerWord(String(v.plan))),
    unsure: texts.aHabitThatWorks,
  },
  {
    name: 'heat',
    question: texts.howLongUntilThe,
    group: 'Water',
    says: (v) => `${tell('HOURS', number(v, 'hours'))}.`,
    unsure: texts.lidsStandsAndDraughts,
  },
  {
    name: 'siphon',
    question: texts.howLongDoesThe,
    group: 'Water',
    says: (v) =>
      texts.atFromTheStart(
        tell('MINUTES', number(v, 'minutes')),
        tell('LITRES_PER_MINUTE', number(v, 'startLpm')),
      ),
    unsure: texts.aKinkCanDouble,
  },
  {
    name: 'schedule',
    question: texts.whereDoesMyRoutine,
    group: 'Water',
    says: (v) =>
      texts.atBeforeEachChange(
        tell('MILLIGRAMS_PER_LITRE', number(v, 'peak')),
        tell('MILLIGRAMS_PER_LITRE', number(v, 'trough')),
      ),
    unsure: texts.itMovesWithFeeding,
  },
  {
    name: 'lower',
    question: texts.howMuchWaterTo,
    group: 'Water',
    says: (v) =>
      number(v, 'count') === 0
        ? texts.nothingItIsThere
        : number(v, 'count') === 1
          ? texts.oneChangeOf(percent(v, 'each'))
          : texts.changesOfEach(number(v, 'count'), percent(v, 'each')),
    unsure: texts.testKitsAreGood,
  },
  {
    name: 'split',
    question: texts.smallChangesOrOne,
    group: 'Water',
    says: (v) => texts.togetherTheyTakeOut(percent(v, 'removed'), percent(v, 'moreWater')),
    unsure: texts.ifTheTapHolds,
  },
  {
    name: 'toxic',
    question: texts.whatDoesTheAmmonia,
    group: 'Water',
    says: (v) =>
      texts.harmsNowThen(
        tell('MILLIGRAMS_PER_LITRE', number(v, 'toxic'), 'toxic'),
        answerWord(String(v.band)),
        tell('MILLIGRAMS_PER_LITRE', number(v, 'toxicThen'), 'toxic'),
        answerWord(String(v.bandThen)),
      ),
    unsure: texts.speciesDifferYoungAnd,
  },
  {
    name: 'catch',
    question: texts.whatDoesTheFilter,
    group: 'Flow',
    says: (v) => texts.giveOrTake(tell('LITRES_PER_HOUR', number(v, 'lph')), percent(v, 'plusMinus')),
    unsure: texts.liftingTheOutletTo,
  },
  {
    name: 'expected',
    question: texts.whatShouldItMove,
    group: 'Flow',
    says: (v) =>
      texts.aboutAtTheLeast(
        tell('LITRES_PER_HOUR', number(v, 'lph')),
        tell('LITRES_PER_HOUR', number(v, 'lowLph')),
      ),
    unsure: texts.n30UntilYouCatch,
  },
  {
    name: 'uv',
    question: texts.doesTheWaterPass,
    group: 'Flow',
    says: (v) =>
      texts.slowEnoughIsUp(
        answerWord(String(v.class)).replace(/^./, (first) => first.toUpperCase()),
        tell('LITRES_PER_HOUR', number(v, 'slowEnoughLph')),
      ),
    unsure: texts.itComparesTheDose,
    caution: texts.unplugTheLampBefore,
  },
  {
    name: 'need',
    question: texts.howMuchMediaDoes,
    group: 'Media',
    says: (v) =>
      texts.thatIsAsPoured(
        tell('KILOGRAMS', number(v, 'needKg')),
        litres(v, 'needL'),
        number(v, 'buyKg') > 0 ? texts.toBuy(tell('KILOGRAMS', number(v, 'buyKg'))) : texts.itIsAllThere,
      ),
    unsure: texts.goodToAFactor,
    finer: ['per100'],
  },
  {
    name: 'hold',
    question: texts.howMuchMediaFits,
    group: 'Media',
    says: (v) => texts.thatIs(litres(v, 'litres'), tell('KILOGRAMS', number(v, 'kg'))),
    unsure: texts.n20PiecesLieAs,
  },
  {
    name: 'bags',
    question: texts.howManyBags,
    group: 'Media',
    says: (v) => texts.withEach2(some(number(v, 'count'), 'bag'), litres(v, 'litresEach')),
    unsure: '± 15 %.',
  },
  {
    name: 'cut',
    question: texts.howManyPiecesFrom,
    group: texts.foamAndPaper,
    says: (v) => texts.fromASheetYou(some(number(v, 'best'), 'piece'), some(number(v, 'sheets'), 'sheet')),
    unsure: texts.aKnifeIsAlways,
    finer: ['oversizeMm', 'holeMm', 'kerfMm', 'lifeDays', 'thickMm', 'depthMm', 'notches'],
  },
  {
    name: 'cutlist',
    question: texts.howToCutSeveral,
    group: texts.foamAndPaper,
    says: (v) => texts.withWaste(some(number(v, 'sheets'), 'sheet'), percent(v, 'waste')),
    unsure: texts.aGoodLayoutSeldom,
  },
  {
    name: 'tiles',
    question: texts.howManyPagesFor,
    group: texts.foamAndPaper,
    says: (v) => `${some(number(v, 'pages'), 'page')}, ${answerWord(String(v.turn))}.`,
  },
  {
    name: 'cost',
    question: texts.cartridgesRebuildingOrA,
    group: 'Cost',
    says: (v) =>
      Math.abs(number(v, 'savesPerYear')) < CENT
        ? texts.bothCostTheSame
        : number(v, 'savesPerYear') > 0
          ? texts.theOtherWaySaves(tell('MONEY', number(v, 'savesPerYear')))
          : texts.theOtherWayCosts(tell('MONEY', -number(v, 'savesPerYear'))),
    unsure: texts.howLongPartsLast,
  },
  {
    name: 'service',
    question: texts.whatDoesAYear,
    group: 'Cost',
    says: (v) =>
      texts.andAYear(tell('MINUTES', number(v, 'minutesYear')), tell('MONEY', number(v, 'costYear'))),
    unsure: texts.intervalsMoveWithWhat,
  },
  {
    name: 'socks',
    question: texts.howManySocksTo,
    group: 'Cost',
    says: (v) => `${some(number(v, 'need'), 'sock')}.`,
    unsure: texts.aSockMoreThan,
  },
  {
    name: 'draindown',
    question: texts.doesTheSumpOverflow,
    group: texts.sumpAndSalt,
    says: (v) =>
      number(v, 'spareL') < 0
        ? texts.yesBy(tell('LITRES', -number(v, 'spareL')))
        : texts.noRunBackTo(litres(v, 'drainL'), litres(v, 'spareL')),
    unsure: texts.testItOnceWith,
  },
  {
    name: 'topoff',
    question: texts.howLongWithoutTopping,
    group: texts.sumpAndSalt,
    says: (v) => texts.untilThePumpDraws(tell('DAYS', number(v, 'daysToLow'))),
    unsure: texts.seasonsChangeItBy,
  },
  {
    name: 'salt',
    question: texts.howMuchSalt,
    group: texts.sumpAndSalt,
    says: (v) =>
      number(v, 'replaceL') > 0
        ? texts.noneReplaceByFresh(litres(v, 'replaceL'))
        : `${tell('GRAMS', number(v, 'grams'))}.`,
    unsure: texts.n1WithTemperature,
    caution: texts.dissolveItInA,
  },
  {
    name: 'salinity',
    question: texts.whatIsThisSalinity,
    group: texts.sumpAndSalt,
    says: (v) =>
      texts.specificGravity(tell('PER_MILLE', number(v, 'ppt')), tell('SPECIFIC_GRAVITY', number(v, 'sg'))),
    unsure: texts.hydrometersDifferCheckYours,
  },
  {
    name: 'resin',
    question: texts.howMuchBleachFor,
    group: 'Cleaning',
    says: (v) =>
      texts.ofBleachWithOf(
        tell('MILLILITRES', number(v, 'bleachMl'), 'bleachMl'),
        tell('MILLILITRES', number(v, 'waterMl'), 'waterMl'),
      ),
    unsure: texts.onlyAStripThat,
    caution: texts.awayFromTheTank,
  },
  {
    name: 'vinegar',
    question: texts.howStrongIsThe,
    group: 'Cleaning',
    says: (v) => texts.ofVinegarWithOf(litres(v, 'vinegarL'), litres(v, 'waterL')),
    caution: texts.neverOnTheSame,
  },
  {
    name: 'unit',
    question: texts.whatIsThatIn,
    group: 'Units',
    says: (v, given) =>
      `${tell('NUMBER', number(v, 'value'), 'value')} ${choiceFor(String(given?.to ?? ''))}`.trim(),
  },
]

export const pageOf = (name: string) => PAGES.find((page) => page.name === name)
