<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { insideAfter, TrayPicture, tubsOf } from '@/features/filter'
import { PhotoStrip } from '@/features/visit'
import AsyncState from '@/shared/components/AsyncState.vue'
import { useKeys } from '@/shared/keys'
import { FINDINGS, stageWord, type Finding } from '@/shared/words'
import AddTask from './AddTask.vue'
import FinishPanel from './FinishPanel.vue'
import { useGuided } from './guided'
import { useAwakeScreen } from './now'
import { useNow } from '@/shared/now'
import { clockWords } from './progress'
import type { Step } from './queries'
import ServiceTop from './ServiceTop.vue'
import SkipDialog from './SkipDialog.vue'
import StepNow from './StepNow.vue'

/** At the tank: one large step, the next two small, timers and the filter-off clock always in view. */
const props = defineProps<{ service: string }>()

const guided = useGuided(props.service)
const now = useNow()
useAwakeScreen()

const skipping = ref(false)
const listing = ref(false)
const ending = ref(false)

const { progress } = guided
const steps = computed(() => guided.view.value?.steps ?? [])
const current = computed(() => progress.value.current)
const place = computed(() => steps.value.findIndex((step) => step.id === current.value?.id) + 1)
const next = computed(() =>
  steps.value
    .slice(place.value)
    .filter((step) => !progress.value.done.has(step.id) && !progress.value.skipped.has(step.id))
    .slice(0, 2),
)
const previous = computed(() =>
  steps.value
    .slice(0, place.value - 1 || undefined)
    .findLast((step) => progress.value.done.has(step.id) || progress.value.skipped.has(step.id)),
)
/** The picture says what is out only where something comes out of a place. */
const inside = computed(() => insideAfter(steps.value, progress.value.done, current.value))
const pictured = computed(() => {
  const view = guided.view.value
  const moves = steps.value.some((step) =>
    step.effects.some((effect) => ['FILTER_OPENED', 'PLACE_OUT', 'PLACE_IN'].includes(effect)),
  )
  return view?.inside?.chambers.length && moves ? view.inside : undefined
})
/** What lies in the filter and could get into its pump. */
const media = computed(() =>
  (guided.view.value?.inside?.stages ?? [])
    .filter((stage) => stageWord(stage.kind).measuredByMass)
    .map((stage) => stage.name),
)
const timers = computed(() =>
  progress.value.timers.map((timer) => ({ ...timer, left: timer.endsAt - now.value })),
)

function done(step: Step | undefined) {
  if (step) guided.record('DONE', step.id)
}

function skip(reason: string) {
  if (current.value) guided.record('SKIPPED', current.value.id, reason)
  skipping.value = false
}

function back() {
  if (previous.value) guided.record('UNDONE', previous.value.id)
}

useKeys((key, event) => {
  if (skipping.value || ending.value || listing.value) return
  const grade = FINDINGS[Number(key) - 1]
  if (
    key === ' ' &&
    !(event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement)
  ) {
    event.preventDefault()
    done(current.value)
  } else if (grade && current.value?.captures === 'FINDING')
    guided.record('FINDING', current.value.id, grade.value)
  else if (key === 'b') back()
  else if (key === 's' && current.value) skipping.value = true
})

const grade = (finding: Finding | undefined) => {
  if (current.value) guided.record('FINDING', current.value.id, finding ?? '')
}
</script>

<template>
  <main class="flex flex-col min-h-screen">
    <AsyncState
      :pending="!guided.view.value && !guided.failure.value"
      :error="guided.view.value ? null : guided.failure.value"
      :what="texts.theService"
      @retry="guided.sync()"
    >
      <template v-if="guided.view.value">
        <ServiceTop
          :view="guided.view.value"
          :place="place"
          :total="steps.length"
          :off-since="progress.offSince"
          :now="now"
          :reachable="guided.reachable.value"
          :waiting="guided.waiting.value"
        />
        <FinishPanel
          v-if="ending || !current || guided.view.value.finishedAt"
          :guided="guided"
          :off="progress.offSince !== undefined"
          :early="current !== undefined"
          @resume="ending = false"
        />
        <template v-else>
          <div class="steps">
            <StepNow
              :tank="guided.view.value.place.tankId"
              :step="current"
              :steps="steps"
              :finding="progress.findings.get(current.id)"
              :stray="progress.stray"
              :media="media"
              :running="timers.some((timer) => timer.step.id === current?.id)"
              @grade="grade"
              @stray="(from) => current && guided.record('STRAY', current.id, from)"
              @time="guided.record('TIMER', current.id)"
              @flow="
                (lph) =>
                  current &&
                  guided.record(
                    current.captures === 'FLOW_BEFORE' ? 'FLOW_BEFORE' : 'FLOW_AFTER',
                    current.id,
                    String(lph),
                  )
              "
            />
            <aside>
              <TrayPicture
                v-if="pictured"
                :chambers="pictured.chambers"
                :parts="pictured.stages"
                :lid="pictured.lid"
                :inside="inside"
                :tubs="tubsOf(steps)"
              />
              <p v-for="(step, i) in next" :key="step.id" class="next py-11px edge-t-line text-ink-quiet">
                <b v-if="i === 0">{{ texts.next2 }}</b> {{ step.text }}
              </p>
              <el-button type="primary" text :aria-expanded="listing" @click="listing = !listing">
                {{ texts.allSteps }}
              </el-button>
              <ol v-if="listing" class="all">
                <li v-for="step in steps" :key="step.id" class="py-11px edge-t-line text-ink-quiet">
                  {{ progress.done.has(step.id) ? '✓' : progress.skipped.has(step.id) ? '–' : '·' }}
                  {{ step.text }}
                </li>
              </ol>
              <PhotoStrip :of="{ service: props.service }" />
              <PhotoStrip
                :of="{ filter: guided.view.value.place.filterId }"
                :shown-only="guided.view.value.occasion === 'SERVICE'"
              />
              <AddTask
                v-if="guided.view.value.occasion === 'SERVICE'"
                :view="guided.view.value"
                @add="(task) => guided.record('TASK_ADDED', '', String(task))"
              />
            </aside>
          </div>
          <footer class="dock">
            <p
              v-for="timer in timers"
              :key="timer.step.id"
              class="flex flex-col py-1 px-12px edge-1.5-line rounded"
              role="timer"
            >
              <span class="small">{{ timer.step.text.slice(0, 28) }}…</span>
              <b class="num">{{ timer.left > 0 ? clockWords(timer.left) : texts.over }}</b>
            </p>
            <el-button class="min-h-56px" :disabled="!previous" @click="back">{{ texts.back }}</el-button>
            <el-button class="min-h-56px" @click="skipping = true">{{ texts.skip }}</el-button>
            <el-button class="min-h-56px" @click="ending = true">{{ texts.end }}</el-button>
            <el-button
              type="primary"
              class="done min-h-56px flex-[1_1_220px] text-22px max-phone:[flex-basis:100%]"
              @click="done(current)"
              >{{ texts.done }}</el-button
            >
          </footer>
        </template>
      </template>
    </AsyncState>
    <SkipDialog v-model="skipping" :step="current" @skip="skip" />
  </main>
</template>

<style scoped>
.steps {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, 1fr) minmax(0, 330px);
  gap: 50px;
  align-content: start;
  padding: 26px 40px;
}

.dock {
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: stretch;
  padding: 12px 26px;
  border-top: 1px solid var(--line);
  background: var(--surface);
}

@media (width <= 640px) {
  .steps {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
    padding: 16px;
  }

  .dock {
    bottom: 58px;
    padding: 10px 14px;
  }
}
</style>
