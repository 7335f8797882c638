import { onBeforeUnmount, onMounted } from 'vue'

function typing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]')
}

/** Calls the handler for each bare key pressed outside a field. */
export function useKeys(handler: (key: string, event: KeyboardEvent) => void) {
  const listen = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return
    handler(event.key, event)
  }
  onMounted(() => {
    document.addEventListener('keydown', listen)
  })
  onBeforeUnmount(() => {
    document.removeEventListener('keydown', listen)
  })
}
