<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { longDay, shortDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { FINDINGS, type Finding } from '@/shared/words'
import PadPicture from './PadPicture.vue'
import { shuffled } from './picture'
import { useEye, useGradePictures } from './queries'

/** Twelve drawn pads to grade in a minute, so that a harsh or lenient eye misleads nobody. */
const eye = useEye()
const grading = useGradePictures()
const { sending, trouble, send } = useSending()

const begun = ref(false)
const given = ref<Partial<Record<number, Finding>>>({})
const order = shuffled(12, Date.now() % 1000003)
const at = computed(() => order.find((picture) => given.value[picture] === undefined))
const count = computed(() => Object.keys(given.value).length)
const loading = computed(() => (at.value === undefined ? undefined : eye.data.value?.pictures[at.value]))

function begin() {
  given.value = {}
  begun.value = true
}

async function grade(finding: Finding) {
  if (at.value === undefined) return
  given.value = { ...given.value, [at.value]: finding }
  if (at.value === undefined) await save()
}

function back() {
  const last = order[count.value - 1]
  if (last === undefined) return
  given.value = { ...given.value, [last]: undefined }
  given.value = Object.fromEntries(
    Object.entries(given.value).filter(([, finding]) => finding),
  ) as typeof given.value
}

async function save() {
  const grades = order
    .toSorted((a, b) => a - b)
    .map((picture) => given.value[picture])
    .filter((finding) => finding !== undefined)
  if (await send(() => grading.mutateAsync(grades))) begun.value = false
}
</script>

<template>
  <main class="page narrow grid gap-3 justify-items-start">
    <h1>{{ texts.howDoYouSee }}</h1>
    <AsyncState
      :pending="eye.isPending.value"
      :error="lacking(eye)"
      :what="texts.thePictures"
      @retry="eye.refetch()"
    >
      <template v-if="!begun">
        <p>
          {{ texts.peopleGradeTheSame }}
        </p>
        <template v-if="eye.data.value?.gradedOn">
          <p>
            <strong>{{ eye.data.value.verdict }}</strong>
            <span class="quiet"> {{ texts.graded(longDay(eye.data.value.gradedOn)) }}</span>
          </p>
          <template v-if="eye.data.value.moved.length">
            <h2>{{ texts.whatItDoesTo }}</h2>
            <ul>
              <li v-for="moved in eye.data.value.moved" :key="moved.name">
                {{ moved.name }}: {{ shortDay(moved.before) }} → {{ shortDay(moved.after) }}
              </li>
            </ul>
          </template>
        </template>
        <el-button type="primary" size="large" @click="begin">{{
          eye.data.value?.gradedOn ? texts.gradeThemAgain : texts.showTheFirstPad
        }}</el-button>
      </template>
      <template v-else-if="loading !== undefined">
        <p class="quiet">{{ texts.of12(count + 1) }}</p>
        <PadPicture :loading="loading" :label="texts.aPadAsIt" />
        <div class="grades flex flex-wrap gap-2 my-3" role="group" :aria-label="texts.howFullIsIt">
          <el-button
            v-for="finding in FINDINGS"
            :key="finding.value"
            size="large"
            @click="grade(finding.value)"
            >{{ finding.label }}</el-button
          >
        </div>
        <el-button v-if="count > 0" text @click="back">{{ texts.backOnePad }}</el-button>
      </template>
      <template v-else>
        <p>{{ sending ? texts.savingYourGrades : texts.allTwelveGraded }}</p>
        <el-button v-if="!sending" type="primary" size="large" @click="save">{{
          texts.saveYourGrades
        }}</el-button>
      </template>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    </AsyncState>
  </main>
</template>

<style scoped>
.grades :deep(.el-button) {
  min-width: 104px;
  min-height: var(--touch);
  margin: 0;
}
</style>
