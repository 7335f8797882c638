export { useTank, useTanks, type Tank } from './queries'
