import { texts } from './texts'
import { nextTick, ref } from 'vue'
import { Problem, wordsOf } from './problem'

/** Sends a form: holds what went wrong by field, and moves the focus to the first field at fault. */
export function useSending() {
  const sending = ref(false)
  const errors = ref<Record<string, string>>({})
  const trouble = ref('')
  const conflict = ref<unknown>()
  const asks = ref(false)

  async function send<T>(action: () => Promise<T>): Promise<T | undefined> {
    if (sending.value) return undefined
    sending.value = true
    errors.value = {}
    trouble.value = ''
    conflict.value = undefined
    asks.value = false
    try {
      return await action()
    } catch (failure) {
      tell(failure)
      return undefined
    } finally {
      sending.value = false
    }
  }

  function tell(failure: unknown) {
    trouble.value = wordsOf(failure)
    if (failure instanceof Problem) {
      errors.value = failure.byField
      asks.value = failure.asks
      if (failure.asks) trouble.value = ''
      conflict.value = failure.current
      void nextTick(focusFirst)
    }
  }

  function refuse(byField: Record<string, string>) {
    errors.value = byField
    trouble.value = texts.someFieldsNeedAnother
    void nextTick(focusFirst)
  }

  return { sending, errors, trouble, conflict, asks, send, refuse }
}

/** Errors by the fields of a part of what was sent: "filter.name" of the filter is "name". */
export const errorsWithin = (errors: Record<string, string>, part: string): Record<string, string> =>
  Object.fromEntries(
    Object.entries(errors).map(([field, message]) => [
      field.startsWith(`${part}.`) ? field.slice(part.length + 1) : field,
      message,
    ]),
  )

function focusFirst() {
  document
    .querySelector<HTMLElement>('[data-field] .error')
    ?.closest('[data-field]')
    ?.querySelector<HTMLElement>('input, textarea, select, button')
    ?.focus()
}
