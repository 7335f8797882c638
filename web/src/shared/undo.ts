import { texts } from './texts'
import { ElButton } from 'element-plus'
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
    h(ElButton, { text: true, type: 'primary', onClick: () => void run() }, () => texts.undo)
  const shown = ElMessage({
    message: () => h('span', [said, ' ', button()]),
    duration: 10_000,
    showClose: true,
  })
}
