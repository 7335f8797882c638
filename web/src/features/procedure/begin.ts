import { useRouter } from 'vue-router'
import type { Schemas } from '@/shared/api/client'
import { useSending } from '@/shared/form'
import { newId } from '@/shared/ids'
import { useStartGuided } from './queries'

/** Begins work on a whole filter, such as a set-up, and goes to its first step. */
export function useBegin(filter: () => number) {
  const router = useRouter()
  const startGuided = useStartGuided()
  const { sending, trouble, send } = useSending()

  async function begin(occasion: Schemas['GuidedStart']['occasion']) {
    const id = newId()
    const start = { filterId: filter(), tasks: [], chores: [], occasion }
    if (await send(() => startGuided.mutateAsync({ id, start })))
      await router.push({ name: 'service', params: { service: id } })
  }

  return { sending, trouble, begin }
}
