<script setup lang="ts">
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
  if (care.hold) return '▨ on hold'
  if (care.standing === 'LATER') return `best ${shortDay(care.window.ideal, props.today)}`
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
  const asked = `asked for at ${percent(servicePoint)} %.`
  if (low > 1) return `Past clogged; ${asked}`
  if (likely > 1) return `Likely past clogged, at least ${percent(low)} %; ${asked}`
  const most = high > 1 ? 'past clogged' : `${percent(high)} %`
  return `About ${percent(likely)} % of clogged, between ${percent(low)} % and ${most}; ${asked}`
}
</script>

<template>
  <div class="scroller" tabindex="0" role="region" :aria-label="`Water path of ${filter.name}`">
    <PathTextures />
    <ol class="path">
      <li class="end" aria-hidden="true"><span class="flow" /></li>
      <li
        v-for="{ stage, look, care } in cells"
        :key="stage.id"
        class="stage"
        :style="sized(look.width)"
        :title="estimate(care)"
      >
        <PathCell :texture="look.texture" :loading="care?.loading" :state="stateOf(care)" />
        <span class="name">{{ stage.name }}</span>
        <span v-if="detail(stage)" class="small quiet">{{ detail(stage) }}</span>
        <span class="small note" :class="stateOf(care)?.toLowerCase()">{{ note(care) }}</span>
        <span class="seen-by-readers">{{ estimate(care) }}</span>
      </li>
      <li class="end out" aria-hidden="true"><span class="flow" /></li>
    </ol>
  </div>
</template>

<style scoped>
.scroller {
  position: relative;
  overflow-x: auto;
  padding-bottom: 4px;
}

.path {
  display: flex;
  gap: 4px;
}

.stage {
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  line-height: 1.25;
}

.name {
  font-size: 14px;
  font-weight: 620;
  margin-top: 3px;
}

.note {
  font-size: 13px;
  color: var(--ink-quiet);
}

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

.end {
  width: 26px;
  padding-top: 32px;
}

.flow {
  display: block;
  height: 3px;
  margin-right: -4px;
  background: var(--stream);
}

.out .flow {
  margin: 0 0 0 -4px;
  clip-path: none;
}
</style>
