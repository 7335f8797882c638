export { useStores } from './queries'
