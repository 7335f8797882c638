<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import type { Filter } from '@/features/filter'
import type { Tank } from '@/features/tank'
import SelectField from '@/shared/components/SelectField.vue'
import type { Page } from './catalogue'
import { useKnown } from './known'
import type { Field, Given, Sum } from './queries'
import { useSum } from './sum'
import SumAnswer from './SumAnswer.vue'
import SumDoes from './SumDoes.vue'
import SumField from './SumField.vue'

/** A sum at work: what it is given on the left, its answer beside it, and what can be done with that. */
const props = defineProps<{ page: Page; sum: Sum; tanks: Tank[]; handed: Given }>()
const tank = defineModel<number>('tank', { required: true })

const filter = ref(0)
const { known, filters } = useKnown(tank, filter)
const asksFilter = computed(() =>
  ['catch', 'expected', 'uv', 'service', 'socks', 'buckets', 'hold', 'topoff', 'cost'].includes(
    props.sum.name,
  ),
)
const fitting = computed(() => (filters.data.value ?? []).toSorted((a, b) => rank(b) - rank(a)))
/** Which filter a sum is most likely about. */
function rank({ kind, stages }: Filter): number {
  if (props.sum.name === 'uv') return stages.some((stage) => stage.kind === 'UV_LAMP') ? 1 : 0
  if (props.sum.name === 'socks' || props.sum.name === 'topoff') return kind === 'SUMP' ? 1 : 0
  return kind === 'AIR_SPONGE' ? -1 : 0
}
watch(
  fitting,
  (all) => {
    if (!all.some((one) => one.id === filter.value)) filter.value = all[0]?.id ?? 0
  },
  { immediate: true },
)
const { typed, type, originOf, isKnown, reading, given, answer, isCurrent, errors, values } = useSum(
  computed(() => props.sum),
  known,
  props.handed,
)
const isFiner = (field: Field) =>
  !isKnown(field.name) &&
  (props.page.finer?.includes(field.name) ?? (field.otherwise !== undefined && field.basis !== 'KEEPER'))
/** What only the keeper can say stands first. */
const asked = (field: Field) => Number(field.needed && !isKnown(field.name))
const plain = computed(() =>
  props.sum.fields.filter((field) => !isFiner(field)).toSorted((a, b) => asked(b) - asked(a)),
)
const finer = computed(() => props.sum.fields.filter(isFiner))
const open = ref<string[]>([])
</script>

<template>
  <h1>{{ page.question }}</h1>
  <div class="where">
    <SelectField
      v-if="tanks.length"
      v-model="tank"
      :label="texts.tank"
      name="tank"
      :choices="tanks.map((one) => ({ value: one.id, label: one.tank.name }))"
    />
    <SelectField
      v-if="asksFilter && fitting.length > 1"
      v-model="filter"
      :label="texts.filter"
      name="filter"
      :choices="fitting.map((one) => ({ value: one.id, label: one.name }))"
    />
  </div>
  <div class="sides">
    <SumAnswer
      class="answer"
      :page="page"
      :sum="sum"
      :answer="values"
      :given="given"
      :missing="reading.missing"
      :wrong="Object.keys(errors).length > 0"
    />
    <form novalidate @submit.prevent>
      <SumField
        v-for="field in plain"
        :key="field.name"
        :sum="sum.name"
        :field="field"
        :path="field.name"
        :origin="originOf(field.name)"
        :errors="errors"
        :model-value="typed[field.name]"
        @update:model-value="type(field.name, $event)"
      />
      <el-collapse v-if="finer.length" v-model="open">
        <el-collapse-item name="finer" :title="texts.finerPoints">
          <SumField
            v-for="field in finer"
            :key="field.name"
            :sum="sum.name"
            :field="field"
            :path="field.name"
            :errors="errors"
            :model-value="typed[field.name]"
            @update:model-value="type(field.name, $event)"
          />
          <p class="quiet">
            {{ texts.keepersRulesCanBe }}
            <RouterLink :to="{ name: 'sum-rules' }">{{ texts.rulesOfThumb }}</RouterLink>.
          </p>
        </el-collapse-item>
      </el-collapse>
    </form>
    <SumDoes
      v-if="values && given"
      class="does"
      :inert="!isCurrent"
      :page="page"
      :sum="sum"
      :tank="tank"
      :known="known"
      :given="given"
      :answer="values"
    />
    <p v-else-if="answer.isError.value && !Object.keys(errors).length" role="alert" class="does">
      {{ texts.weCannotReachThe }}
      <el-button text @click="answer.refetch()">{{ texts.tryAgain }}</el-button>
    </p>
  </div>
</template>

<style scoped src="./sum.css"></style>
