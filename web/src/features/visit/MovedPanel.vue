<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useEye } from '@/features/interval'
import LinkButton from '@/shared/components/LinkButton.vue'
import WindowLine from '@/shared/components/WindowLine.vue'
import { longDay, shortDay, today, windowWords } from '@/shared/dates'
import { wordsOf } from '@/shared/problem'
import AskedQuestions from './AskedQuestions.vue'
import TwinNotice from './TwinNotice.vue'
import { useRestoreService, useWithdrawService, type Saved } from './queries'

/** After saving: what moved, from which window to which, and why; and a way back. */
const props = defineProps<{ saved: Saved; corrected: boolean }>()
const emit = defineEmits<{ merged: [saved: Saved] }>()

const withdraw = useWithdrawService()
const restore = useRestoreService()
const eye = useEye()
const undone = ref(false)
const trouble = ref('')

const MOST = 6
const now = today()
const all = ref(false)
const done = computed(() => new Set(props.saved.service.tasks.map((task) => task.taskId)))
const shown = computed(() =>
  all.value
    ? props.saved.moved
    : props.saved.moved.filter((moved) => done.value.has(moved.taskId)).slice(0, MOST),
)

async function turn() {
  trouble.value = ''
  try {
    await (undone.value ? restore : withdraw).mutateAsync(props.saved.service.id)
    undone.value = !undone.value
  } catch (failure) {
    trouble.value = wordsOf(failure)
  }
}
</script>

<template>
  <section class="moved" aria-live="polite">
    <h1>{{ undone ? texts.takenBack : corrected ? texts.correctionSaved : texts.saved }}</h1>
    <p class="quiet">
      {{ undone ? texts.yourDatesAreAs : `${longDay(saved.service.doneOn)}, ${saved.service.doneBy}.` }}
    </p>
    <TwinNotice
      v-if="!undone"
      :service="saved.service.id"
      :twins="saved.twins"
      @merged="(one) => emit('merged', one)"
    />
    <AskedQuestions
      v-if="!undone && saved.questions.length"
      :service="saved.service.id"
      :questions="saved.questions"
      @answered="(one) => emit('merged', one)"
    />
    <template v-if="!undone">
      <h2 v-if="shown.length" class="mt-4">{{ texts.whatChanged }}</h2>
      <p v-else class="quiet">{{ texts.noDatesChanged }}</p>
      <ul>
        <li v-for="moved in shown" :key="moved.taskId" class="py-12px edge-b-hair" :data-moved="moved.name">
          <strong>{{ moved.name }}</strong>
          <div class="grid cols-[3_minmax(120px,2fr)] gap-y-0 gap-x-18px items-center my-1">
            <p class="quiet">
              {{ windowWords(moved.before.window)
              }}<template v-if="moved.before.intervalDays"
                >{{ texts.every }} <span class="num">{{ moved.before.intervalDays }}</span>
                {{ texts.days }}</template
              >
            </p>
            <WindowLine
              :window="moved.before.window"
              standing="LATER"
              :today="now"
              :before="30"
              :after="400"
              :focus="20"
            />
            <p>
              <span class="seen-by-readers">{{ texts.isNow }}</span>
              {{ texts.best(windowWords(moved.after.window), shortDay(moved.after.window.ideal))
              }}<template v-if="moved.after.intervalDays"
                >{{ texts.every }} <span class="num">{{ moved.after.intervalDays }}</span>
                {{ texts.days }}</template
              >
            </p>
            <WindowLine
              :window="moved.after.window"
              standing="OPEN"
              :today="now"
              :before="30"
              :after="400"
              :focus="20"
            />
          </div>
          <p class="small quiet">{{ moved.reasons.join(' ') }}</p>
        </li>
      </ul>
      <el-button v-if="!all && saved.moved.length > shown.length" type="primary" text @click="all = true">
        {{ texts.showAll(saved.moved.length) }}
      </el-button>
    </template>
    <p v-if="eye.data.value?.offered" class="quiet">
      {{ texts.haveAMinute }}
      <RouterLink :to="{ name: 'eye' }">{{ texts.gradeTwelveDrawnPads }}</RouterLink>{{
        texts.soThatYourDates
      }}
    </p>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <div class="actions flex flex-wrap gap-2 mt-4">
      <LinkButton type="primary" :to="{ name: 'rounds' }">{{ texts.backToRounds }}</LinkButton>
      <LinkButton type="primary" text :to="{ name: 'tank', params: { tank: saved.service.tankId } }">{{
        texts.seeTheTank
      }}</LinkButton>
      <el-button v-if="!corrected" type="primary" text @click="turn">
        {{ undone ? texts.putItBack : texts.undo }}
      </el-button>
    </div>
  </section>
</template>
