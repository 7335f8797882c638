<script setup lang="ts">
import { texts } from './texts'
import Sortable from 'sortablejs'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { longDay, type Day } from '@/shared/dates'
import { capacity, costWords, isPinned, workWords, type Cell } from './plan'
import type { DayPrice, PlannedVisit } from './queries'

/** One day: its load against its limit, its visits, and while something is carried what it would cost here. */
const props = defineProps<{
  cell: Cell
  today: Day
  title: string
  chosen?: string
  carried?: PlannedVisit
  over: boolean
  price?: DayPrice
  /** Whether visits stay where they are. */
  still?: boolean
}>()
const emit = defineEmits<{
  choose: [visit: PlannedVisit]
  lift: [visit: PlannedVisit]
  /** What was carried by mouse or finger is let go. */
  loose: [at: { clientX: number; clientY: number } | undefined]
  press: [event: KeyboardEvent, visit: PlannedVisit]
}>()

const has = computed(() => (props.cell.day ? capacity(props.cell.day) : 0))
const beyond = computed(() => (props.cell.day?.minutes ?? 0) - has.value)
const filled = computed(() => `${String(Math.min(100, (100 * (props.cell.day?.minutes ?? 0)) / has.value))}%`)
const date = computed(() => Number(props.cell.on.slice(8)))

/** A finger that rests this long on a visit lifts it; shorter, it scrolls. */
const LIFT_MS = 250
/** So far a hand may slip while it clicks. */
const NUDGE_PX = 5
const box = ref<HTMLElement>()
let sortable: Sortable | undefined

/** Where mouse or finger was when it let go. */
function pointOf(event: Sortable.SortableEvent) {
  const { originalEvent } = event as { originalEvent?: MouseEvent | TouchEvent }
  return originalEvent && 'changedTouches' in originalEvent ? originalEvent.changedTouches[0] : originalEvent
}

/* The library carries the picture of a visit; where it lies is Vue's, so that nothing is moved in the document here. */
onMounted(() => {
  if (!box.value) return
  sortable = Sortable.create(box.value, {
    group: 'visits',
    draggable: '.chip',
    disabled: props.still,
    forceFallback: true,
    fallbackOnBody: true,
    fallbackTolerance: NUDGE_PX,
    delay: LIFT_MS,
    delayOnTouchOnly: true,
    onStart: ({ item }) => {
      const visit = props.cell.visits.find((one) => one.id === item.dataset.visit)
      if (visit) emit('lift', visit)
    },
    onMove: () => false,
    onEnd: (event) => emit('loose', pointOf(event)),
  })
})
watch(
  () => props.still,
  (still) => sortable?.option('disabled', still),
)
onBeforeUnmount(() => sortable?.destroy())
</script>

<template>
  <section
    ref="box"
    class="cell min-h-72px pt-1 pb-6px px-6px rounded-4px bg-surface"
    :class="{ outside: !cell.day, away: cell.day && has === 0, today: cell.on === today, over }"
    :aria-label="longDay(cell.on)"
    :data-on="cell.day && cell.on"
  >
    <p class="small flex flex-wrap justify-between text-13px whitespace-nowrap">
      <span
        >{{ title }} <b class="num">{{ date }}</b></span
      >
      <span
        v-if="carried && price"
        class="cost whitespace-normal font-680 text-herb"
        :class="{ breaks: price.breaksRules }"
        >{{ costWords(price) }}</span
      >
      <span v-else-if="cell.day && beyond > 0" class="beyond">{{ texts.minOver(beyond) }}</span>
      <span v-else-if="cell.day && has > 0" class="quiet num">{{ cell.day.minutes }}/{{ has }}</span>
      <span v-else-if="cell.day" class="quiet">{{ texts.nobody }}</span>
    </p>
    <div v-if="has > 0" class="bar h-1 mt-1px mb-1 bg-hair" aria-hidden="true">
      <i class="block h-1 bg-herb" :class="{ full: beyond > 0 }" :style="{ width: filled }" />
    </div>
    <button
      v-for="visit in cell.visits"
      :key="visit.id"
      type="button"
      class="chip"
      :data-visit="visit.id"
      :class="{ chosen: visit.id === chosen, carried: visit.id === carried?.id }"
      :aria-label="
        texts.minutes(
          visit.tank,
          longDay(visit.on),
          visit.minutes,
          workWords(visit),
          isPinned(visit) ? texts.pinned2 : '',
        )
      "
      @click="emit('choose', visit)"
      @keydown="emit('press', $event, visit)"
    >
      <span class="name">{{ visit.tank }}</span>
      <span class="num">{{ visit.minutes }}</span>
      <span v-if="isPinned(visit)" class="pin">{{ texts.pinned }}</span>
    </button>
  </section>
</template>

<style scoped>
.outside {
  background: transparent;
  color: var(--ink-quiet);
}

.away {
  background: repeating-linear-gradient(135deg, var(--hair) 0 2px, transparent 2px 9px);
}

.today {
  box-shadow: inset 0 3px 0 var(--herb);
}

.over {
  outline: 3px solid var(--herb);
}

.beyond,
.breaks {
  font-weight: 680;
  color: var(--brick);
}

.bar .full {
  background: var(--brick);
}

@media (width <= 640px) {
  .outside {
    display: none;
  }
}
</style>

<style scoped src="./chip.css"></style>
