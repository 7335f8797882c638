import { texts } from './texts'
import { h } from 'vue'
import { wordsOf } from './problem'

/** Says what was done and offers to take it back for some seconds. */
export function offerUndo(said: string, undo: () => Promise<unknown>) {
  const run = async () => {
    shown.close()
    await undo().then(
      () => ElMessage({ message: texts.takenBack, type: 'success' }),
      (failure: unknown) => ElMessage({ message: wordsOf(failure), type: 'error' }),
    )
  }
  const button = () =>
    h('button', { type: 'button', class: texts.buttonPlain, onClick: () => void run() }, 'Undo')
  const shown = ElMessage({
    message: () => h('span', [said, ' ', button()]),
    duration: 10_000,
    showClose: true,
  })
}
