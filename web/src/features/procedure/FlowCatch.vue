<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { say, typedNumber, withUnit } from '@/shared/units'
import { useNow } from '@/shared/now'
import { ENOUGH, medianFlow, type Catch } from './catches'

/** Flow by a timed container: caught three times, of which the middle one counts. One catch may do. */
const emit = defineEmits<{ flow: [litresPerHour: number] }>()

const now = useNow()
const started = ref<number>()
const seconds = ref('')
const litres = ref('')
const catches = ref<Catch[]>([])
const kept = ref<number>()

const running = computed(() =>
  started.value === undefined ? undefined : Math.max(0, Math.round((now.value - started.value) / 1000)),
)
const typed = computed<Catch | undefined>(() => {
  const caught = typedNumber(litres.value)
  const took = typedNumber(seconds.value)
  return caught && took && caught > 0 && took > 0 ? { litres: caught, seconds: took } : undefined
})
const all = computed(() => (typed.value ? [...catches.value, typed.value] : catches.value))
const rate = computed(() => medianFlow(all.value))

function turn() {
  if (started.value === undefined) {
    started.value = Date.now()
    return
  }
  seconds.value = ((Date.now() - started.value) / 1000).toFixed(1)
  started.value = undefined
}

/** The vessel stays the same from catch to catch. */
function again() {
  catches.value = all.value
  seconds.value = ''
}
const drop = (index: number) => (catches.value = catches.value.filter((_one, at) => at !== index))

function keep() {
  if (rate.value === undefined) return
  kept.value = rate.value
  emit('flow', rate.value)
}
</script>

<template>
  <div class="grid cols-[repeat(auto-fit,minmax(150px,1fr))] gap-12px items-end max-w-640px">
    <el-button class="min-h-touch m-0" @click="turn">
      {{ running === undefined ? texts.startTheClock : texts.stopAtS(running) }}
    </el-button>
    <NumberField v-model="seconds" :label="texts.seconds" name="seconds" unit="s" />
    <MeasureField v-model="litres" :label="texts.caught" name="litres" quantity="VOLUME" />
    <el-button v-if="typed && all.length < ENOUGH" class="min-h-touch m-0" @click="again">{{
      texts.catchAgain
    }}</el-button>
    <el-button class="min-h-touch m-0" type="primary" :disabled="rate === undefined" @click="keep">
      {{ rate === undefined ? texts.keepTheFlow : texts.keep(say('FLOW', rate)) }}
    </el-button>
    <ul v-if="catches.length" class="small col-span-full" :aria-label="texts.catches">
      <li v-for="(one, index) in catches" :key="index">
        {{ texts.in(say('VOLUME', one.litres), withUnit(one.seconds, 's')) }}
        <el-button
          class="min-h-touch m-0"
          text
          :aria-label="texts.takeOutCatch(index + 1)"
          @click="drop(index)"
          >{{ texts.takeOut }}</el-button
        >
      </li>
    </ul>
    <p v-if="kept !== undefined" class="quiet col-span-full" role="status">
      {{ texts.kept(say('FLOW', kept)) }}
    </p>
    <p v-else-if="all.length && all.length < ENOUGH" class="quiet col-span-full">
      {{ texts.catchTimesAndThe(ENOUGH) }}
    </p>
  </div>
</template>
