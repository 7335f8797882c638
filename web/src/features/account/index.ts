export {
  sessionOptions,
  useAccounts,
  useBringBack,
  useGoTo,
  useSession,
  useSignOut,
  type Session,
} from './queries'
export { useRights } from './rights'
