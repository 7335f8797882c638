import { useEventListener } from '@vueuse/core'

function typing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]')
}

/** Calls the handler for each bare key pressed outside a field. */
export function useKeys(handler: (key: string, event: KeyboardEvent) => void) {
  useEventListener(document, 'keydown', (event) => {
    if (!event.ctrlKey && !event.metaKey && !event.altKey && !typing(event.target)) handler(event.key, event)
  })
}
