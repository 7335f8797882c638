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
  'Foam and paper',
  'Cost',
  'Sump and salt',
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
    question: 'How much water comes out?',
    group: 'Water',
    says: (v) =>
      `${litres(v, 'totalL')} in all, ${percent(v, 'share')} of the tank${
        v.dropMm === undefined ? '' : `; the level falls by ${tell('MILLIMETRES', number(v, 'dropMm'))}`
      }.`,
    unsure: 'Stones, sand and roots take room: ± 10 %.',
  },
  {
    name: 'mix',
    question: 'How much hot water for the new water?',
    group: 'Water',
    says: (v) => `${litres(v, 'hotL')} hot and ${litres(v, 'coldL')} cold.`,
    unsure: 'A hot tap starts cold: let it run, and check with a thermometer before it goes in.',
  },
  {
    name: 'conditioner',
    question: 'How much conditioner?',
    group: 'Water',
    says: (v) =>
      `${tell('MILLILITRES', number(v, 'doseMl'))}: ${some(number(v, 'units'), 'measure')} of yours.`,
    unsure: 'Chlorine in the tap varies with season and repairs; the label decides.',
    caution: 'The product’s label comes before this sum.',
  },
  {
    name: 'buckets',
    question: 'Is there enough water for rinsing?',
    group: 'Water',
    says: (v) =>
      `${some(number(v, 'rinses'), 'rinse')} with ${litres(v, 'litresEach')} each, ${answerWord(String(v.plan))}.`,
    unsure: 'A habit that works, not a law.',
  },
  {
    name: 'heat',
    question: 'How long until the water is warm?',
    group: 'Water',
    says: (v) => `${tell('HOURS', number(v, 'hours'))}.`,
    unsure: 'Lids, stands and draughts differ: ± 30 %.',
  },
  {
    name: 'siphon',
    question: 'How long does the siphon take?',
    group: 'Water',
    says: (v) =>
      `${tell('MINUTES', number(v, 'minutes'))} at ${tell('LITRES_PER_MINUTE', number(v, 'startLpm'))} from the start.`,
    unsure: 'A kink can double it.',
  },
  {
    name: 'schedule',
    question: 'Where does my routine settle?',
    group: 'Water',
    says: (v) =>
      `At ${tell('MILLIGRAMS_PER_LITRE', number(v, 'peak'))} before each change and ${tell('MILLIGRAMS_PER_LITRE', number(v, 'trough'))} after.`,
    unsure: 'It moves with feeding and growth.',
  },
  {
    name: 'lower',
    question: 'How much water to bring a reading down?',
    group: 'Water',
    says: (v) =>
      number(v, 'count') === 0
        ? 'Nothing: it is there already.'
        : number(v, 'count') === 1
          ? `One change of ${percent(v, 'each')}.`
          : `${String(number(v, 'count'))} changes of ${percent(v, 'each')} each.`,
    unsure: 'Test kits are good to ± 15 %.',
  },
  {
    name: 'split',
    question: 'Small changes, or one big one?',
    group: 'Water',
    says: (v) =>
      `Together they take out ${percent(v, 'removed')}, with ${percent(v, 'moreWater')} more water than one change that does the same.`,
    unsure: 'If the tap holds none of it and the tank mixes well.',
  },
  {
    name: 'toxic',
    question: 'What does the ammonia do if pH or warmth rises?',
    group: 'Water',
    says: (v) =>
      `${tell('MILLIGRAMS_PER_LITRE', number(v, 'toxic'), 'toxic')} harms now, ${answerWord(String(v.band))}; then ${tell('MILLIGRAMS_PER_LITRE', number(v, 'toxicThen'), 'toxic')}, ${answerWord(String(v.bandThen))}.`,
    unsure: 'Species differ; young and weak animals suffer first.',
  },
  {
    name: 'catch',
    question: 'What does the filter move?',
    group: 'Flow',
    says: (v) => `${tell('LITRES_PER_HOUR', number(v, 'lph'))}, give or take ${percent(v, 'plusMinus')}.`,
    unsure: 'Lifting the outlet to catch costs a little flow.',
  },
  {
    name: 'expected',
    question: 'What should it move?',
    group: 'Flow',
    says: (v) =>
      `About ${tell('LITRES_PER_HOUR', number(v, 'lph'))}, ${tell('LITRES_PER_HOUR', number(v, 'lowLph'))} at the least.`,
    unsure: '± 30 % until you catch it once.',
  },
  {
    name: 'uv',
    question: 'Does the water pass the lamp slowly enough?',
    group: 'Flow',
    says: (v) =>
      `${answerWord(String(v.class)).replace(/^./, (first) => first.toUpperCase())}: slow enough is up to ${tell('LITRES_PER_HOUR', number(v, 'slowEnoughLph'))}.`,
    unsure: 'It compares; the dose itself cannot be known here.',
    caution: 'Unplug the lamp before its housing is opened. Never look into it.',
  },
  {
    name: 'need',
    question: 'How much media does this tank need?',
    group: 'Media',
    says: (v) =>
      `${tell('KILOGRAMS', number(v, 'needKg'))}, that is ${litres(v, 'needL')} as poured${
        number(v, 'buyKg') > 0 ? `; ${tell('KILOGRAMS', number(v, 'buyKg'))} to buy` : '; it is all there'
      }.`,
    unsure: 'Good to a factor of two; your tests decide.',
    finer: ['per100'],
  },
  {
    name: 'hold',
    question: 'How much media fits in there?',
    group: 'Media',
    says: (v) => `${litres(v, 'litres')}, that is ${tell('KILOGRAMS', number(v, 'kg'))}.`,
    unsure: '± 20 %: pieces lie as they like.',
  },
  {
    name: 'bags',
    question: 'How many bags?',
    group: 'Media',
    says: (v) => `${some(number(v, 'count'), 'bag')} with ${litres(v, 'litresEach')} each.`,
    unsure: '± 15 %.',
  },
  {
    name: 'cut',
    question: 'How many pieces from a sheet?',
    group: 'Foam and paper',
    says: (v) =>
      `${some(number(v, 'best'), 'piece')} from a sheet; you need ${some(number(v, 'sheets'), 'sheet')}.`,
    unsure: 'A knife is always off by a little; press the foam flat while you cut.',
    finer: ['oversizeMm', 'holeMm', 'kerfMm', 'lifeDays', 'thickMm', 'depthMm', 'notches'],
  },
  {
    name: 'cutlist',
    question: 'How to cut several sizes at once?',
    group: 'Foam and paper',
    says: (v) => `${some(number(v, 'sheets'), 'sheet')}, with ${percent(v, 'waste')} waste.`,
    unsure: 'A good layout, seldom the best there is.',
  },
  {
    name: 'tiles',
    question: 'How many pages for a template at true size?',
    group: 'Foam and paper',
    says: (v) => `${some(number(v, 'pages'), 'page')}, ${answerWord(String(v.turn))}.`,
  },
  {
    name: 'cost',
    question: 'Cartridges, rebuilding or a sponge: what is cheaper?',
    group: 'Cost',
    says: (v) =>
      Math.abs(number(v, 'savesPerYear')) < CENT
        ? 'Both cost the same a year.'
        : number(v, 'savesPerYear') > 0
          ? `The other way saves ${tell('MONEY', number(v, 'savesPerYear'))} a year.`
          : `The other way costs ${tell('MONEY', -number(v, 'savesPerYear'))} more a year.`,
    unsure: 'How long parts last is a guess until you log it.',
  },
  {
    name: 'service',
    question: 'What does a year of service take?',
    group: 'Cost',
    says: (v) =>
      `${tell('MINUTES', number(v, 'minutesYear'))} and ${tell('MONEY', number(v, 'costYear'))} a year.`,
    unsure: 'Intervals move with what you find.',
  },
  {
    name: 'socks',
    question: 'How many socks to own?',
    group: 'Cost',
    says: (v) => `${some(number(v, 'need'), 'sock')}.`,
    unsure: 'A sock more than that buys a missed wash.',
  },
  {
    name: 'draindown',
    question: 'Does the sump overflow when the pump stops?',
    group: 'Sump and salt',
    says: (v) =>
      number(v, 'spareL') < 0
        ? `Yes, by ${tell('LITRES', -number(v, 'spareL'))}.`
        : `No: ${litres(v, 'drainL')} run back, ${litres(v, 'spareL')} to spare.`,
    unsure: 'Test it once, with a hand on the plug.',
  },
  {
    name: 'topoff',
    question: 'How long without topping up?',
    group: 'Sump and salt',
    says: (v) => `${tell('DAYS', number(v, 'daysToLow'))} until the pump draws air.`,
    unsure: 'Seasons change it by half either way.',
  },
  {
    name: 'salt',
    question: 'How much salt?',
    group: 'Sump and salt',
    says: (v) =>
      number(v, 'replaceL') > 0
        ? `None: replace ${litres(v, 'replaceL')} by fresh water.`
        : `${tell('GRAMS', number(v, 'grams'))}.`,
    unsure: '± 1 % with temperature.',
    caution: 'Dissolve it in a bucket first and pour slowly, over hours; never salt over animals.',
  },
  {
    name: 'salinity',
    question: 'What is this salinity in other words?',
    group: 'Sump and salt',
    says: (v) =>
      `${tell('PER_MILLE', number(v, 'ppt'))}, specific gravity ${tell('SPECIFIC_GRAVITY', number(v, 'sg'))}.`,
    unsure: 'Hydrometers differ; check yours in a known solution.',
  },
  {
    name: 'resin',
    question: 'How much bleach for the resin?',
    group: 'Cleaning',
    says: (v) =>
      `${tell('MILLILITRES', number(v, 'bleachMl'), 'bleachMl')} of bleach with ${tell('MILLILITRES', number(v, 'waterMl'), 'waterMl')} of water.`,
    unsure: 'Only a strip that reads no chlorine clears it for the tank.',
    caution:
      'Away from the tank, with gloves and goggles, in fresh air. Bleach into water, never with anything else.',
  },
  {
    name: 'vinegar',
    question: 'How strong is the vinegar bath?',
    group: 'Cleaning',
    says: (v) => `${litres(v, 'vinegarL')} of vinegar with ${litres(v, 'waterL')} of water.`,
    caution: 'Never on the same day or in the same tub as bleach. Rinse well before it goes back.',
  },
  {
    name: 'unit',
    question: 'What is that in other units?',
    group: 'Units',
    says: (v, given) =>
      `${tell('NUMBER', number(v, 'value'), 'value')} ${choiceFor(String(given?.to ?? ''))}`.trim(),
  },
]

export const pageOf = (name: string) => PAGES.find((page) => page.name === name)
