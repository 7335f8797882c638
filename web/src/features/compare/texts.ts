import type { Told } from '@/shared/told'

/** What the feature “compare” says, in the order of its files. */
export const texts = {
  theComparison: 'the comparison',
  filtersCompared: 'Filters compared',
  runsOfThatEnded: (runs: Told, filters: Told, filters2: Told, days: Told) =>
    `${runs} runs of ${filters} ${filters2} that ended with a look, half of them longer than ${days} days. What your own log says, all filters taken together.`,
  noRunHasEnded:
    'No run has ended with a look yet. Grade what you find when you open a filter, and this page compares filters.',
  fillsAQuarterAs: 'fills a quarter as fast',
  asBefore: 'as before',
  fourTimesAsFast: 'four times as fast',
  tooFewRunsWith: (upperFirst: Told) => `Too few runs with or without, fewer than three: ${upperFirst}.`,
  nobodyDrewLotsFor:
    'Nobody drew lots for which filter got a pre-filter and when. Where something else changed with it that is not on record, its share is in these figures too. A trial is surer.',
  runsWithWithout: (what: Told, without: Told) => `${what} runs with, ${without} without.`,
  filter: 'filter',
  filters: 'filters',
}
