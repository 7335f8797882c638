import { useRouter } from 'vue-router'
import type { Schemas } from '@/shared/api/client'
import { useSending } from '@/shared/form'
import { newId } from '@/shared/ids'
import { useStartGuided } from './queries'

/** Begins a guided service and goes to its first step. */
export function useBegin() {
  const router = useRouter()
  const startGuided = useStartGuided()
  const { send, ...sending } = useSending()

  async function begin(start: Schemas['GuidedStart']) {
    const id = newId()
    if (await send(() => startGuided.mutateAsync({ id, start })))
      await router.push({ name: 'service', params: { service: id } })
  }

  /** Begins work on a whole filter, such as a set-up. */
  const beginWhole = (filterId: number, occasion: Schemas['GuidedStart']['occasion']) =>
    begin({ filterId, tasks: [], chores: [], occasion })

  return { ...sending, begin, beginWhole }
}
