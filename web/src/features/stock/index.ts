export { useChangeItem, useMove, useStores, useTakeMoveBack } from './queries'
