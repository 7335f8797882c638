import type { Told } from '@/shared/told'

/** What the parts of all views says, in the order of its files. */
export const texts = {
  loading: (what: Told) => `Loading ${what} …`,
  couldNotLoad: (what: Told) => `Could not load ${what}.`,
  tryAgain: 'Try again',
  someoneElseChangedWhile: (what: Told) => `Someone else changed ${what} while you were editing it.`,
  useTheSavedVersion: 'Use the saved version',
  keepMyVersion: 'Keep my version',
  today: 'Today',
  yesterday: 'Yesterday',
  aWeekAgo: 'A week ago',
  chooseOne: 'Choose one',
  nothingByThatName: 'Nothing by that name',
  nothingToChooseFrom: 'Nothing to choose from',
  sums: 'Sums',
  best: (windowWords: Told, ideal: Told) => `${windowWords}, best ${ideal}`,
  someFieldsNeedAnother: 'Some fields need another look.',
  theServerAnsweredWith: (status: Told) => `The server answered with ${status}. Try again in a moment.`,
  chervilCouldNotBe: 'Chervil could not be reached. What you typed is kept; try again.',
  somethingWentWrongTry: 'Something went wrong. Try again.',
  dayOverdue: (days: Told, days2: Told) => `${days} day${days2} overdue`,
  fineToDoNow: 'fine to do now',
  from: (earliest: Told) => `from ${earliest}`,
  takenBack: 'Taken back.',
  undo: 'Undo',
}
