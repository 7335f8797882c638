<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Forecast } from '@/features/interval'
import { shortDay, type Day } from '@/shared/dates'
import { standingWords } from '@/shared/standing'
import { mass } from '@/shared/units'
import PathCell from './PathCell.vue'
import PathTextures from './PathTextures.vue'
import { lookOf } from './picture'
import type { Stage } from './queries'

type Drawn = Pick<Stage, 'id' | 'kind' | 'name' | 'quantity' | 'massG'>

/** A filter as water meets it: a run of cells, each with how full it is thought to be and when it is next due. */
const props = defineProps<{ filter: { name: string; stages: Drawn[] }; forecasts: Forecast[]; today: Day }>()

const cells = computed(() =>
  props.filter.stages.map((stage) => ({ stage, look: lookOf(stage.kind), care: careOf(stage) })),
)

/** The task that tells how full the stage is, else the one due first. */
function careOf(stage: Drawn): Forecast | undefined {
  const own = props.forecasts.filter((forecast) => forecast.subject.stageId === stage.id)
  return (
    own.find((forecast) => forecast.loading) ??
    own.toSorted((a, b) => a.window.ideal.localeCompare(b.window.ideal))[0]
  )
}

const sized = (px: number) => ({ flex: `${String(px)} 0 ${String(px)}px`, maxWidth: `${String(px * 1.6)}px` })

type State = Forecast['standing'] | 'HELD'
const stateOf = (care: Forecast | undefined): State | undefined => (care?.hold ? 'HELD' : care?.standing)

function note(care: Forecast | undefined): string {
  if (!care) return ''
  if (care.hold) return texts.onHold2
  if (care.standing === 'LATER') return texts.best(shortDay(care.window.ideal, props.today))
  return standingWords(care.standing, care.window, props.today)
}

const detail = (stage: Drawn) =>
  [stage.quantity > 1 ? `${String(stage.quantity)} ×` : '', stage.massG ? mass(stage.massG) : '']
    .filter(Boolean)
    .join(' ')

function estimate(care: Forecast | undefined): string {
  if (!care?.loading) return ''
  const percent = (share: number) => String(Math.round(share * 100))
  const { low, likely, high, servicePoint } = care.loading
  const asked = texts.askedForAt(percent(servicePoint))
  if (low > 1) return texts.pastClogged(asked)
  if (likely > 1) return texts.likelyPastCloggedAt(percent(low), asked)
  const most = high > 1 ? texts.pastClogged2 : `${percent(high)} %`
  return texts.aboutOfCloggedBetween(percent(likely), percent(low), most, asked)
}
</script>

<template>
  <div
    class="relative overflow-x-auto pb-1"
    tabindex="0"
    role="region"
    :aria-label="texts.waterPathOf(filter.name)"
  >
    <PathTextures />
    <ol class="path flex gap-1">
      <li class="end w-26px pt-32px" aria-hidden="true">
        <span class="block h-3px [margin-right:-4px] bg-stream" />
      </li>
      <li
        v-for="{ stage, look, care } in cells"
        :key="stage.id"
        class="stage flex flex-col items-center text-center leading-1.25"
        :style="sized(look.width)"
        :title="estimate(care)"
      >
        <PathCell :texture="look.texture" :loading="care?.loading" :state="stateOf(care)" />
        <span class="name text-14px font-620 mt-3px">{{ stage.name }}</span>
        <span v-if="detail(stage)" class="small quiet">{{ detail(stage) }}</span>
        <span class="small text-13px text-ink-quiet" :class="stateOf(care)?.toLowerCase()">{{
          note(care)
        }}</span>
        <span class="seen-by-readers">{{ estimate(care) }}</span>
      </li>
      <li class="end w-26px pt-32px" aria-hidden="true">
        <span class="block h-3px bg-stream [margin:0_0_0_-4px] [clip-path:none]" />
      </li>
    </ol>
  </div>
</template>

<style scoped>
.due {
  color: var(--amber);
  font-weight: 680;
}

.held {
  color: var(--plum);
  font-weight: 680;
}

.late {
  color: var(--brick);
  font-weight: 680;
}
</style>
