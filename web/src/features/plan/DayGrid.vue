<script setup lang="ts">
import { texts } from './texts'
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import { addDays, longDay, shortDay, weekday, type Day } from '@/shared/dates'
import DayCell from './DayCell.vue'
import { capacity, itemsOf, weeksOf } from './plan'
import { usePrices, type Plan, type PlannedVisit } from './queries'

/** Weeks of days. A visit is dragged to another day, or picked up with the space bar and carried with the arrow keys. */
const props = defineProps<{ plan: Plan; chosen?: string; still?: boolean }>()
const emit = defineEmits<{ choose: [visit: PlannedVisit]; move: [visit: PlannedVisit, to: Day] }>()

const weeks = computed(() => weeksOf(props.plan.days, props.plan.visits))
/** Weekdays on which nothing ever happens take less room. */
const columns = computed(() => {
  const busy = [0, 1, 2, 3, 4, 5, 6].map((weekday) =>
    weeks.value.some((week) => {
      const cell = week[weekday]
      return cell && (cell.visits.length > 0 || (cell.day && capacity(cell.day) > 0))
    }),
  )
  return `50px ${busy.map((one) => (one ? 'minmax(0, 1fr)' : '62px')).join(' ')}`
})
const carried = ref<PlannedVisit>()
const over = ref<Day>()
const prices = usePrices(
  () => (carried.value ? itemsOf(carried.value) : []),
  () => props.plan.weeks,
)
const byDay = computed(() => new Map(prices.data.value?.days.map((price) => [price.on, price])))
const said = computed(() => {
  const visit = carried.value
  if (!visit || !over.value) return ''
  const price = byDay.value.get(over.value)
  if (price) return price.words
  if (prices.isPending.value) return texts.workingOutWhatIt(longDay(over.value))
  return texts.thatWouldOvertakeAnother(longDay(over.value))
})

function lift(visit: PlannedVisit) {
  carried.value = visit
  over.value = visit.on
}

function leave() {
  carried.value = undefined
  over.value = undefined
}

function drop(on: Day) {
  const visit = carried.value
  leave()
  if (visit && on !== visit.on) emit('move', visit, on)
}

/** Where mouse or finger is while it carries a visit; what it carries does not stand in its way. */
useEventListener(document, 'pointermove', (event: PointerEvent) => {
  if (carried.value) overAt(event)
})

function overAt({ clientX, clientY }: { clientX: number; clientY: number }) {
  const cell = document.elementFromPoint(clientX, clientY)?.closest<HTMLElement>('.cell[data-on]')
  if (cell?.dataset.on) over.value = cell.dataset.on
}

function letGo(at: { clientX: number; clientY: number } | undefined, from: Day) {
  if (at) overAt(at)
  drop(over.value ?? from)
}

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }

async function carry(event: KeyboardEvent, visit: PlannedVisit) {
  if (props.still) return
  const step = STEPS[event.key]
  if (event.key === ' ' || event.key === 'Spacebar') {
    event.preventDefault()
    if (carried.value) drop(over.value ?? visit.on)
    else lift(visit)
  } else if (event.key === 'Escape') {
    leave()
  } else if (step !== undefined && carried.value && over.value) {
    event.preventDefault()
    const to = addDays(over.value, step)
    if (props.plan.days.some((day) => day.on === to)) over.value = to
    await nextTick()
    document.querySelector('.cell.over')?.scrollIntoView({ block: 'nearest' })
  }
}
</script>

<template>
  <div class="grid gap-1" role="group" :aria-label="texts.thePlanByDay">
    <div
      v-for="(week, index) in weeks"
      :key="index"
      class="week grid cols-[var(--columns)] gap-1 max-tablet:cols-1fr"
      :style="{ '--columns': columns }"
    >
      <p class="from small quiet pt-1">{{ shortDay(week[0]?.on ?? '') }}</p>
      <DayCell
        v-for="cell in week"
        :key="cell.on"
        :cell="cell"
        :today="plan.today"
        :title="index === 0 ? weekday(cell.on) : ''"
        :chosen="chosen"
        :still="still"
        :carried="carried"
        :over="over === cell.on"
        :price="byDay.get(cell.on)"
        @choose="emit('choose', $event)"
        @lift="lift"
        @loose="(at) => letGo(at, cell.on)"
        @press="carry"
      />
    </div>
    <p
      v-if="carried"
      class="said sticky bottom-0 py-10px px-3 edge-t-2-herb bg-surface [box-shadow:var(--shadow)]"
      role="status"
    >
      <b>{{ carried.tank }}</b> {{ said }}
      <span class="small quiet">{{ texts.letGoOrPress }}</span>
    </p>
  </div>
</template>
