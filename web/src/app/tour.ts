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
    title: 'Rounds',
    tells: 'What to do now, in which order, and how long it takes. Start here each day.',
  },
  {
    place: 'tanks',
    title: 'Tanks',
    tells: 'Each tank with its filters: what is inside, how full it is by now, and when it wants you.',
  },
  {
    place: 'plan',
    title: 'Plan',
    tells: 'The coming weeks. Move a day, keep a holiday free, and see what that does.',
  },
  {
    place: 'water',
    title: 'Water',
    tells: 'Readings and water changes. They hold work back while a tank is unwell.',
  },
  { place: 'stores', title: 'Stores', tells: 'Pads, socks, carbon and kits: what runs out, and when.' },
  {
    place: 'bench',
    title: 'Bench',
    tells: 'Sums with your own numbers, and help when a filter does not do what it should.',
  },
  { place: 'ledger', title: 'Ledger', tells: 'Every service ever logged, to find again or to correct.' },
  {
    place: 'log',
    title: 'Log',
    tells: 'Write down what you did. What you found moves the next date.',
  },
  {
    place: 'more',
    title: 'More',
    tells: 'Plan, stores, bench and ledger, your units and the way out. This walk is here as well.',
  },
]
