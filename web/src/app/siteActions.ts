import { texts } from './texts'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useSignOut } from '@/features/account'
import { usePreferences } from '@/shared/preferences'

/** What can be done from behind the site's name. */
export function useSiteActions() {
  const router = useRouter()
  const preferences = usePreferences()
  const signOut = useSignOut()

  async function leave() {
    await signOut.mutateAsync()
    await router.push({ name: 'door' })
  }

  return {
    themeWords: computed(() => (preferences.theme === 'lamp' ? texts.dayTheme : texts.lampTheme)),
    turnTheme: () => preferences.toggleTheme(),
    leave,
  }
}
