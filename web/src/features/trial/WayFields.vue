<script setup lang="ts">
import { texts } from './texts'
import NumberField from '@/shared/components/NumberField.vue'
import { emptyWay, MOST_WAYS, type WayForm } from './trial-form'

/** Two to five ways of doing a task; the first is what the others are measured by. */
defineProps<{
  canBeLeftOut: boolean
  errors: Record<string, string>
}>()
const ways = defineModel<WayForm[]>({ required: true })
</script>

<template>
  <div>
    <ul>
      <li
        v-for="(way, i) in ways"
        :key="i"
        class="way flex flex-wrap gap-y-2 gap-x-20px items-end py-6px list-none"
      >
        <NumberField
          v-model="way.days"
          :label="i === 0 ? texts.every : texts.orEvery"
          :name="`ways[${i}]`"
          :unit="texts.days"
          :disabled="way.without"
          :error="errors[`ways[${i}]`]"
        />
        <el-checkbox
          v-if="canBeLeftOut && (way.without || !ways.some((one) => one.without))"
          v-model="way.without"
        >
          {{ texts.withoutIt2 }}
        </el-checkbox>
        <el-button v-if="ways.length > 2" type="primary" text @click="ways.splice(i, 1)">
          {{ texts.remove }}<span class="seen-by-readers"> {{ texts.way2(i + 1) }}</span>
        </el-button>
      </li>
    </ul>
    <p v-if="errors.ways" class="error" role="alert">{{ errors.ways }}</p>
    <p v-if="ways.some((way) => way.without)" class="small quiet">
      {{ texts.forThosePeriodsTake }}
    </p>
    <el-button v-if="ways.length < MOST_WAYS" @click="ways.push(emptyWay())"> {{ texts.addAWay }} </el-button>
  </div>
</template>
