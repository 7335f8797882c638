export { useChoreDone, useChoreNotDone } from './queries'
