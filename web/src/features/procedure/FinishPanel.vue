<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import LinkButton from '@/shared/components/LinkButton.vue'
import TextField from '@/shared/components/TextField.vue'
import type { Schemas } from '@/shared/api/client'
import { useSending } from '@/shared/form'
import AfterPanel from './AfterPanel.vue'
import GoOn from './GoOn.vue'
import type { useGuided } from './guided'
import { byHand, takesDown } from './progress'
import { useDropGuided, useFinishGuided } from './queries'

/** The end: what was skipped, a note, and the log; not while the filter is off, unless a reason is written. */
const props = defineProps<{ guided: ReturnType<typeof useGuided>; off: boolean; early: boolean }>()
const emit = defineEmits<{ resume: [] }>()

const router = useRouter()
const finish = useFinishGuided()
const drop = useDropGuided()
const { sending, errors, trouble, send } = useSending()

const note = ref('')
const leftOffReason = ref('')
const overrideReason = ref('')
const saved = ref<Schemas['SavedService']>()
const view = computed(() => props.guided.view.value)
const stays = computed(() => takesDown(view.value))
const skipped = computed(() => {
  const reasons = props.guided.progress.value.skipped
  return (view.value?.steps ?? [])
    .filter((step) => reasons.has(step.id))
    .map((step) => ({ step, reason: reasons.get(step.id) }))
})
/** Things used up by the steps that were done, with how many of each. */
const spent = computed(() => {
  const { done } = props.guided.progress.value
  const all = (view.value?.steps ?? [])
    .filter((step) => done.has(step.id))
    .flatMap((step) => step.materials.filter((thing) => thing.spent).map((thing) => thing.name))
  return [...new Set(all)].map((thing) => ({ thing, usual: all.filter((one) => one === thing).length }))
})
/** What was ticked here after the end, by the text of its step. */
const late = computed(() =>
  props.guided.late.value
    .filter((event) => event.kind === 'DONE')
    .map((event) => view.value?.steps.find((step) => step.id === event.step)?.text ?? event.step),
)
const used = ref<Record<string, number>>({})
const countOf = (part: { thing: string; usual: number }) => used.value[part.thing] ?? part.usual
/** What the stores lose; a 0 tells that none was used where one is usual. */
const parts = computed(() => spent.value.map((part) => ({ thing: part.thing, quantity: countOf(part) })))
const untouched = computed(
  () => (view.value?.events ?? []).filter(byHand).length + props.guided.waiting.value === 0,
)

async function end() {
  await props.guided.flush()
  const id = view.value?.id
  if (!id || props.guided.waiting.value > 0) {
    trouble.value = texts.someTicksHaventBeen
    return
  }
  saved.value = await send(() =>
    finish.mutateAsync({
      id,
      end: {
        note: note.value.trim(),
        leftOffReason: leftOffReason.value,
        overrideReason: overrideReason.value.trim() || undefined,
        parts: parts.value,
      },
    }),
  )
  if (saved.value) props.guided.forget()
}

async function dropIt() {
  const id = view.value?.id
  if (!id) return
  await send(async () => {
    await drop.mutateAsync(id)
    props.guided.forget()
    await router.push({ name: 'rounds' })
  })
}
</script>

<template>
  <div class="end py-26px px-40px max-w-820px max-phone:pt-16px max-phone:pb-96px max-phone:px-16px">
    <AfterPanel v-if="saved && view" :saved="saved" :guided="view" @merged="(one) => (saved = one)" />
    <section v-else-if="view?.finishedAt">
      <GoOn :guided="view" />
      <p>
        {{ texts.thisServiceIsIn }}
        <RouterLink :to="{ name: 'tank', params: { tank: view.place.tankId } }">{{
          texts.seeTheTank
        }}</RouterLink>
      </p>
      <template v-if="late.length">
        <p class="py-10px px-3 edge-l-5-brick bg-brick-soft" role="note">
          {{ texts.someoneEndedItOn }}
        </p>
        <ul>
          <li v-for="(words, i) in late" :key="i">{{ words }}</li>
        </ul>
        <div class="actions flex gap-10px">
          <LinkButton
            class="min-h-56px"
            type="primary"
            :to="{ name: 'correct', params: { tank: view.place.tankId, service: view.id } }"
            >{{ texts.correctTheService }}</LinkButton
          >
          <el-button class="min-h-56px" size="large" @click="guided.forget()">{{
            texts.discardTheseTicks
          }}</el-button>
        </div>
      </template>
    </section>
    <form v-else class="grid gap-3 mt-10px" @submit.prevent="end">
      <h1>{{ early ? texts.endBeforeTheLast : texts.allStepsDone }}</h1>
      <ul v-if="skipped.length">
        <li v-for="{ step, reason } in skipped" :key="step.id" class="quiet">
          {{ texts.skipped(step.text, reason ?? '') }}
        </li>
      </ul>
      <p v-if="off && !stays" class="py-10px px-3 edge-l-5-brick bg-brick-soft" role="note">
        {{ texts.theFilterIsStill }}
      </p>
      <TextField
        v-if="off && !stays"
        v-model="leftOffReason"
        :label="texts.whyItStaysOff"
        name="leftOffReason"
        :error="errors.leftOffReason"
      />
      <fieldset v-if="spent.length">
        <legend class="font-600">{{ texts.partsUsed }}</legend>
        <div
          v-for="part in spent"
          :key="part.thing"
          class="grid cols-[1_56px_30px_56px] gap-10px items-center min-h-touch"
        >
          <span>{{ part.thing }}</span>
          <el-button
            :aria-label="texts.oneLess(part.thing)"
            :disabled="countOf(part) === 0"
            @click="used[part.thing] = countOf(part) - 1"
          >
            −
          </el-button>
          <span class="num" role="status">{{ countOf(part) }}</span>
          <el-button :aria-label="texts.oneMore(part.thing)" @click="used[part.thing] = countOf(part) + 1">
            +
          </el-button>
        </div>
      </fieldset>
      <TextField
        v-if="errors['circumstances.overrideReason']"
        v-model="overrideReason"
        :label="texts.whyItWasDone"
        name="circumstances.overrideReason"
        :error="errors['circumstances.overrideReason']"
      />
      <TextField v-model="note" :label="texts.note" name="note" type="textarea" :error="errors.note" />
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <div class="actions flex gap-10px">
        <el-button class="min-h-56px" type="primary" native-type="submit" :disabled="sending">{{
          texts.saveToTheLog
        }}</el-button>
        <el-button v-if="early" class="min-h-56px" type="primary" text @click="emit('resume')">{{
          texts.continue
        }}</el-button>
        <el-button v-if="untouched" class="min-h-56px" type="primary" text @click="dropIt">{{
          texts.discard
        }}</el-button>
      </div>
    </form>
  </div>
</template>
