<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive } from 'vue'
import { BenchNav } from '@/features/bench'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { useSending } from '@/shared/form'
import { PAGES } from './catalogue'
import { fieldOf, scaleOf, storedOf, tell } from './measures'
import { useKeepRule, useRules, type Rule } from './queries'
import { choiceFor, labelFor } from './words'

/** At the table: the rules of thumb that sums go by, each the site's own to change. */
const rules = useRules()
const keep = useKeepRule()
const { errors, trouble, send, refuse } = useSending()
const typed = reactive<Record<string, string>>({})

const fieldIn = (rule: Rule) => rule.key.split('.').at(-1) ?? ''
const scale = (rule: Rule) => scaleOf(rule.measure, fieldIn(rule))
/** Ours may be a third, of which nobody wants six digits. */
const digits = (rule: Rule) => (rule.kept === undefined && rule.measure === 'SHARE' ? 3 : 6)
const textOf = (rule: Rule) => typed[rule.key] ?? fieldOf(scale(rule), rule.kept ?? rule.ours, digits(rule))

function nameOf(rule: Rule): string {
  const [of = '', what = '', column] = rule.key.split('.')
  return column === undefined
    ? labelFor(of, what)
    : `${choiceFor(what)}: ${labelFor('need', column).toLowerCase()}`
}
const groups = computed(() => {
  const all = rules.data.value ?? []
  const ofSums = PAGES.map((page) => ({
    title: page.question,
    rules: all.filter((rule) => rule.key.startsWith(`${page.name}.`)),
  }))
  return [
    ...ofSums,
    { title: texts.media, rules: all.filter((rule) => rule.key.startsWith('media.')) },
  ].filter((group) => group.rules.length > 0)
})

async function save(rule: Rule) {
  const value = storedOf(scale(rule), textOf(rule))
  if (value === undefined || Number.isNaN(value)) {
    refuse({ [rule.key]: texts.thisIsNotA })
    return
  }
  if (value === rule.kept) return
  const done = await send(async () => {
    await keep.mutateAsync({ key: rule.key, value: value === rule.ours ? undefined : value })
    return true
  })
  if (done) ElMessage({ message: texts.keptEverySumGoes, type: 'success' })
  else if (errors.value.value) errors.value = { [rule.key]: errors.value.value }
}

async function ours(rule: Rule) {
  Reflect.deleteProperty(typed, rule.key)
  await send(() => keep.mutateAsync({ key: rule.key }))
}
</script>

<template>
  <main class="page">
    <BenchNav />
    <h1>{{ texts.rulesOfThumb }}</h1>
    <p class="quiet">{{ texts.whatKeepersGoBy }}</p>
    <AsyncState
      :pending="rules.isPending.value"
      :error="lacking(rules)"
      :what="texts.theRules"
      @retry="rules.refetch()"
    >
      <section v-for="group in groups" :key="group.title" class="mt-26px">
        <h2>{{ group.title }}</h2>
        <div class="grid cols-[repeat(auto-fill,minmax(230px,1fr))] gap-y-3 gap-x-4 items-start">
          <div v-for="rule in group.rules" :key="rule.key">
            <NumberField
              :model-value="textOf(rule)"
              :label="nameOf(rule)"
              :name="rule.key"
              :unit="scale(rule).symbol"
              :hint="
                rule.kept === undefined
                  ? undefined
                  : texts.oursIs(tell(rule.measure, rule.ours, fieldIn(rule)))
              "
              :error="errors[rule.key]"
              @update:model-value="typed[rule.key] = $event"
              @change="save(rule)"
            />
            <el-button v-if="rule.kept !== undefined" text @click="ours(rule)">{{
              texts.goBackToOurs
            }}</el-button>
          </div>
        </div>
      </section>
      <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
    </AsyncState>
  </main>
</template>
