import { refDebounced } from '@vueuse/core'
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { Problem } from '@/shared/problem'
import { inOurUnits } from '@/shared/units'
import { read, rowOf, toTyped, type Typed, type TypedRow } from './given'
import { prefill, type Known } from './prefill'
import { useAnswer, type Field, type Given, type Sum } from './queries'

const SETTLED_MS = 200
/** Catches that a measured flow wants. */
const CATCHES = 3

function blank(field: Field): Typed {
  if (field.type === 'NUMBER') return ''
  if (field.type !== 'ROWS' && field.type !== 'NUMBERS') return toTyped(field, field.otherwise)
  const rows = field.name === 'catches' ? CATCHES : field.least
  return Array.from({ length: rows }, () => rowOf(field.row))
}

/** Rows that nobody wrote in are none. */
const written = (fields: Field[], typed: TypedRow): TypedRow =>
  Object.fromEntries(
    fields.map((field) => {
      const value = typed[field.name]
      if (!Array.isArray(value) || field.least === field.most) return [field.name, value]
      return [
        field.name,
        value.filter((row) =>
          Object.values(row).some(
            (one) => one !== '' && one !== undefined && !(Array.isArray(one) && one.length === 0),
          ),
        ),
      ]
    }),
  )

/** A sum on its page: what stands in its fields and why, and its answer, which follows what is typed. */
export function useSum(sum: ComputedRef<Sum>, known: Ref<Known>, handed: Given) {
  const typed = ref<TypedRow>({})
  const touched = ref(new Set<string>(Object.keys(handed)))
  const origins = computed(() => prefill(sum.value, known.value))

  function fill() {
    for (const field of sum.value.fields) {
      if (touched.value.has(field.name) && field.name in typed.value) continue
      const value = touched.value.has(field.name) ? handed[field.name] : origins.value[field.name]?.value
      typed.value[field.name] = value === undefined ? blank(field) : toTyped(field, value)
    }
  }
  watch(origins, fill, { immediate: true })

  function type(name: string, value: Typed) {
    touched.value.add(name)
    typed.value[name] = value
  }

  const originOf = (name: string) => (touched.value.has(name) ? undefined : origins.value[name]?.from)
  /** Whether something stood in a field before anybody typed; fields keep their place while one types. */
  const isKnown = (name: string) => name in origins.value
  const reading = computed(() => read(sum.value.fields, written(sum.value.fields, typed.value)))
  const isReady = computed(
    () => reading.value.missing.length === 0 && Object.keys(reading.value.wrong).length === 0,
  )
  const given = computed(() => (isReady.value ? reading.value.given : undefined))
  const settled = refDebounced(given, SETTLED_MS)
  const answer = useAnswer(() => sum.value.name, settled)
  /** Whether the answer is that of what stands in the fields; until then nothing is to be done with it. */
  const isCurrent = computed(
    () => !answer.isPlaceholderData.value && JSON.stringify(settled.value) === JSON.stringify(given.value),
  )
  const refused = computed(() => {
    const byField = answer.error.value instanceof Problem ? answer.error.value.byField : {}
    return Object.fromEntries(Object.entries(byField).map(([field, said]) => [field, inOurUnits(said)]))
  })
  const errors = computed(() => (isReady.value ? refused.value : reading.value.wrong))
  const values = computed(() => (isReady.value && !answer.isError.value ? answer.data.value : undefined))
  return { typed, type, originOf, isKnown, reading, given, answer, isCurrent, errors, values }
}
