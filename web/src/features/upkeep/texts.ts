import type { Told } from '@/shared/told'

/** What the feature “upkeep” says, in the order of its files. */
export const texts = {
  lastBackupFailed: 'Last backup failed',
  noBackupYet: 'No backup yet',
  backedUp: (agoWords: Told) => `Backed up ${agoWords}`,
  phonesInTheHouse: 'Phones in the house',
  theHouseNetwork: 'the house network',
  thisMachineHasMore: 'This machine has more than one address; phones see the one of their own network',
  squareCodeOfThe: 'Square code of the address where a phone begins',
  withThePhoneIn: 'With the phone in the house network, point its camera here, or type',
  getTheSitesCertificate: 'Get the site’s certificate there and install it. The page says what to tap.',
  compareTheSha256: 'Compare the SHA-256 that the phone shows:',
  openChervilAndAdd:
    'Open Chervil and add it to the home screen. It then works at the tank without a connection.',
  theCertificateIsGood:
    'The certificate is good for addresses inside your house only. Somebody else’s phone also needs an invitation, under',
  people: 'People',
  chervilIsOpenTo: 'Chervil is open to this computer alone. For phones, start it where it runs with',
}
