import { texts } from './texts'

/** A place and the one sentence that a newcomer hears of it. */
interface Told {
  place: string
  title: string
  tells: string
}

/** In the order of a keeper's week; what a screen does not show is passed over. */
export const TOUR: Told[] = [
  {
    place: 'rounds',
    title: texts.rounds,
    tells: texts.whatToDoNow,
  },
  {
    place: 'tanks',
    title: texts.tanks,
    tells: texts.eachTankWithIts,
  },
  {
    place: 'plan',
    title: texts.plan,
    tells: texts.theComingWeeksMove,
  },
  {
    place: 'water',
    title: texts.water,
    tells: texts.readingsAndWaterChanges,
  },
  { place: 'stores', title: texts.stores, tells: texts.padsSocksCarbonAnd },
  {
    place: 'bench',
    title: texts.bench,
    tells: texts.sumsWithYourOwn,
  },
  { place: 'ledger', title: texts.ledger, tells: texts.everyServiceEverLogged },
  {
    place: 'log',
    title: texts.log,
    tells: texts.writeDownWhatYou,
  },
  {
    place: 'more',
    title: texts.more,
    tells: texts.planStoresBenchAnd,
  },
]
