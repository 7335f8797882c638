import { StorageSerializers, useLocalStorage, type RemovableRef } from '@vueuse/core'
import { effectScope } from 'vue'

interface Ways<T> {
  /** Fills up what an earlier version kept. */
  whole?: (kept: T) => T
  /** Whether parts of it change by themselves; otherwise it is only ever replaced. */
  inParts?: boolean
}

/**
 * Something written that outlives a reload: kept in this browser with every change until it is forgotten. What cannot be
 * read is as if it had never been kept.
 */
export function useKept<T extends object>(
  place: string,
  fresh: () => T,
  { whole = (kept) => kept, inParts = true }: Ways<T> = {},
) {
  const scope = effectScope()
  const kept = scope.run(() =>
    useLocalStorage<T>(place, fresh, {
      flush: 'sync',
      deep: inParts,
      shallow: !inParts,
      listenToStorageChanges: false,
      writeDefaults: false,
      serializer: StorageSerializers.object,
      mergeDefaults: (stored, defaults) => whole({ ...defaults, ...stored }),
      onError: () => undefined,
    }),
  ) as RemovableRef<T>
  const forget = () => {
    scope.stop()
    localStorage.removeItem(place)
  }
  return { kept, forget }
}
