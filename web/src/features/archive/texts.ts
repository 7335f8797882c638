import type { Told } from '@/shared/told'

/** What the feature “archive” says, in the order of its files. */
export const texts = {
  bringInAnArchive: 'Bring in an archive',
  itIsIn: 'It is in',
  stayedOut: (faultCount: Told, faultCount2: Told) => `${faultCount} ${faultCount2} stayed out.`,
  toTheTanks: 'To the tanks',
  aFileThatChervil:
    'A file that Chervil wrote (.zip): a whole site, or one tank that another keeper gives you with its history. You see what would come in before anything is stored. The same file twice is there once.',
  chooseAnotherFile: 'Choose another file',
  chooseTheFile: 'Choose the file',
  readingTheArchive: 'Reading the archive …',
  asItWasOn: (site: Told, datedDay: Told) => `${site}, as it was on ${datedDay}`,
  thisSite: 'This site',
  thereIsNoTank: 'There is no tank in this archive.',
  deletedThere: ', deleted there',
  storesVesselsAndThe: 'Stores, vessels and the site’s own rules too',
  peopleThePlanAnd:
    'People, the plan and services under way stay where they are. Who did each service stays written there.',
  whatWouldComeIn: 'What would come in',
  chooseATank: 'Choose a tank.',
  everythingIsHereAlready: 'Everything is here already.',
  bringItInWithout: (faultCount: Told) => `Bring it in, without ${faultCount} rows`,
  bringItIn: 'Bring it in',
  rowsThatStayOut: 'Rows that stay out',
  line: (file: Told, line: Told) => `${file}, line ${line}`,
  andMore: (faultCount: Told) => `And ${faultCount} more.`,
  hereAlready: (there: Told) => `, ${there} here already`,
  hereAlready2: (there: Told, words: Told) => `${there} ${words} here already`,
  row: 'row',
  rows: 'rows',
}
