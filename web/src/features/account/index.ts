export { sessionOptions, useAccounts, useSession, useSignOut, type Session } from './queries'
