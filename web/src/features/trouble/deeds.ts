import { texts } from './texts'
import { useRouter } from 'vue-router'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import type { useCase } from './case'
import { useLeave, useOverrule, useRemind, useRemoveCase, type Bearing } from './queries'

/** What can be done with a case beside answering: given up, resumed, put on the rounds, overruled, deleted. */
export function useDeeds(id: string, one: ReturnType<typeof useCase>) {
  const router = useRouter()
  const leave = useLeave(id)
  const overrule = useOverrule(id)
  const remind = useRemind(id)
  const remove = useRemoveCase()
  const { sending, trouble, send } = useSending()

  async function giveUp() {
    await one.sync()
    const closed = await send(() => leave.mutateAsync(true))
    if (!closed) return
    one.take(closed)
    offerUndo(texts.caseGivenUp, async () => {
      one.take(await leave.mutateAsync(false))
    })
  }

  async function resume() {
    const open = await send(() => leave.mutateAsync(false))
    if (open) one.take(open)
  }

  async function later(words: string, hours: number) {
    const done = await send(async () => {
      await remind.mutateAsync({ words, hours })
      return true
    })
    if (done)
      ElMessage({
        message: hours ? texts.itStandsInTomorrows : texts.itStandsInYour,
        type: 'success',
      })
  }

  async function count(counts: Bearing) {
    const changed = await send(() => overrule.mutateAsync(counts))
    if (changed) one.take(changed)
  }

  async function drop() {
    const sure = await ElMessageBox.confirm(texts.deleteThisCaseWith, texts.deleteTheCase, {
      confirmButtonText: texts.delete,
      cancelButtonText: texts.keepIt,
      type: 'warning',
    }).catch(() => undefined)
    const tank = one.view.value?.summary.tankId
    if (!sure || tank === undefined) return
    const gone = await send(async () => {
      await remove.mutateAsync(id)
      return true
    })
    if (!gone) return
    one.forget()
    void router.push({ name: 'tank', params: { tank } })
  }

  return { sending, trouble, giveUp, resume, later, count, drop }
}
