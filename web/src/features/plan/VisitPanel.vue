<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRights } from '@/features/account'
import SelectField from '@/shared/components/SelectField.vue'
import WindowLine from '@/shared/components/WindowLine.vue'
import { longDay, shortDay, weekday, windowWords } from '@/shared/dates'
import { counted } from '@/shared/words'
import { costWords, itemsOf } from './plan'
import { useAskAgain, usePrices, type Decision, type PlannedTask, type PlannedVisit } from './queries'

/** One visit: its tasks with their windows, why this day, and what can be done about it; some tasks or all. */
const props = defineProps<{ visit: PlannedVisit; weeks: number; sending: boolean; error: string }>()
const emit = defineEmits<{ decide: [decision: Decision]; close: [] }>()

const { mayKeep } = useRights()
const picked = ref<number[]>([])
const to = ref('')
/** A plan that comes again leaves what was chosen, unless this visit is another one now. */
watch(
  () => [props.visit.id, props.visit.on, ...props.visit.tasks.map((task) => task.chain)].join(' '),
  () => {
    picked.value = props.visit.tasks.map((task) => task.chain)
    to.value = ''
  },
  { immediate: true },
)
const items = computed(() => itemsOf(props.visit, picked.value))
const prices = usePrices(items, () => props.weeks)
const askAgain = useAskAgain()
const others = computed(() => prices.data.value?.days.filter((price) => price.on !== props.visit.on) ?? [])
const chosenPrice = computed(() => others.value.find((price) => price.on === to.value))
const pinned = computed(() =>
  props.visit.tasks.some((task) => task.pinned && picked.value.includes(task.chain)),
)
const standing = (task: PlannedTask) => (task.daysLate > 0 ? ('LATE' as const) : ('OPEN' as const))
const tasks = computed(() =>
  props.visit.tasks.flatMap((task) => (task.taskId === undefined ? [] : [task.taskId])).join(','),
)

function tick(chain: number, on: boolean) {
  picked.value = on ? [...picked.value, chain] : picked.value.filter((one) => one !== chain)
}

function decide(how: Decision['how'], day?: string) {
  emit('decide', { items: items.value, how, to: day })
}
</script>

<template>
  <section class="panel" :aria-label="texts.visitTo(visit.tank)">
    <h2 class="flex justify-between items-center">
      {{ visit.tank }}
      <el-button type="primary" text @click="emit('close')">{{ texts.close }}</el-button>
    </h2>
    <p>
      <b>{{ longDay(visit.on) }}</b>, <span class="num">{{ visit.minutes }}</span>
      {{ texts.minWithSetUp(visit.person ?? texts.nobodyHasTime) }}
    </p>
    <ul class="tasks">
      <li v-for="task in visit.tasks" :key="task.chain" class="py-6px edge-b-hair">
        <el-checkbox
          :model-value="picked.includes(task.chain)"
          @update:model-value="(on) => tick(task.chain, on === true)"
        >
          <span class="what flex flex-wrap gap-y-0 gap-x-2 items-baseline">
            {{ task.name }}<span v-if="task.filter" class="small quiet">{{ task.filter }}</span>
            <span v-if="task.pinned" class="pin small text-plum">{{ texts.pinned }}</span>
            <span v-if="task.daysLate > 0" class="late small">{{
              texts.overdue(counted(task.daysLate, 'day'))
            }}</span>
            <span class="small quiet">{{ texts.min3(task.minutes) }}</span>
          </span>
        </el-checkbox>
        <WindowLine
          :window="task.window"
          :standing="standing(task)"
          :today="visit.on"
          :before="16"
          :after="16"
          :focus="8"
        />
        <span class="small quiet">{{ windowWords(task.window) }}</span>
      </li>
    </ul>
    <h3 class="mt-12px">{{ texts.whyThisDay }}</h3>
    <p v-if="picked.length === 0" class="quiet">{{ texts.tickTheJobsYou }}</p>
    <p v-else-if="prices.isPending.value" class="quiet">{{ texts.workingItOut }}</p>
    <p v-else-if="prices.isError.value" role="alert">
      {{ texts.thePlanDidNot }}
      <el-button type="primary" text @click="askAgain">{{ texts.askAgain }}</el-button>
    </p>
    <template v-else-if="prices.data.value">
      <p>{{ prices.data.value.because }}</p>
      <ul class="small">
        <li v-for="price in prices.data.value.best" :key="price.on">{{ price.words }}</li>
      </ul>
    </template>
    <form v-if="mayKeep" class="grid gap-2 my-3" @submit.prevent="to && decide('PIN', to)">
      <SelectField
        v-model="to"
        :label="texts.moveTo(picked.length === visit.tasks.length ? texts.it : texts.whatIsTicked)"
        name="to"
        :placeholder="texts.chooseADay"
        :choices="
          others.map((price) => ({
            value: price.on,
            label: `${weekday(price.on)} ${shortDay(price.on)}: ${costWords(price)}`,
          }))
        "
      />
      <p v-if="chosenPrice" class="small" :class="{ late: chosenPrice.breaksRules }">
        {{ chosenPrice.words }}
      </p>
      <p v-if="error" class="late" role="alert">{{ error }}</p>
      <div class="flex flex-wrap gap-6px">
        <el-button type="primary" native-type="submit" :disabled="!to || sending || !picked.length">
          {{ texts.moveAndPin }}
        </el-button>
        <el-button v-if="pinned" type="primary" text :disabled="sending" @click="decide('FREE')">
          {{ texts.letThePlanDecide }}
        </el-button>
        <el-button
          v-else
          type="primary"
          text
          :disabled="sending || !picked.length"
          @click="decide('PIN', visit.on)"
        >
          {{ texts.pinHere }}
        </el-button>
        <el-button type="primary" text :disabled="sending || !picked.length" @click="decide('SKIP')">
          {{ texts.skipThisTime }}
        </el-button>
      </div>
    </form>
    <RouterLink
      v-if="tasks"
      class="small"
      :to="{ name: 'prepare', params: { tank: visit.tankId }, query: { tasks } }"
      >{{ texts.startThisNow }}</RouterLink
    >
  </section>
</template>

<style scoped>
.late {
  color: var(--brick);
}
</style>
