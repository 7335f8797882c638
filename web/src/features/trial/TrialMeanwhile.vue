<script setup lang="ts">
import { texts } from './texts'
import { reactive, ref } from 'vue'
import { useRights } from '@/features/account'
import DayField from '@/shared/components/DayField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { newId } from '@/shared/ids'
import { offerUndo } from '@/shared/undo'
import { useRestoreEvent, useTakeEventBack, useTellEvent, type TankEvent, type Trial } from './queries'
import { changeWords } from './trials'

/** What else changed in the tank of a trial: food, losses, new animals. It is asked for, since the water tells it too. */
const props = defineProps<{ trial: Trial }>()

const { mayWork: writes } = useRights()
const tell = useTellEvent()
const takeBack = useTakeEventBack()
const restore = useRestoreEvent()
const { sending, errors, trouble, send } = useSending()
const KINDS: { value: TankEvent['kind']; label: string }[] = [
  { value: 'FED_MORE', label: texts.fedMore },
  { value: 'FED_LESS', label: texts.fedLess },
  { value: 'ANIMALS_ADDED', label: texts.animalsAdded },
  { value: 'ANIMALS_LOST', label: texts.animalsLost },
  { value: 'STARTER_ADDED', label: texts.bacteriaStarterAdded },
  { value: 'OTHER', label: texts.somethingElse },
]
const open = ref(false)
const blank = () => ({ id: newId(), onDay: today(), kind: 'FED_MORE' as TankEvent['kind'], note: '' })
const form = reactive(blank())

async function save() {
  const { id, ...event } = form
  const told = send(async () => {
    await tell.mutateAsync({ tank: props.trial.subject.tankId, id, event })
    return true
  })
  if (!(await told)) return
  open.value = false
  Object.assign(form, blank())
  offerUndo('Noted.', () => takeBack.mutateAsync(id))
}

async function remove(id: string) {
  const gone = send(async () => {
    await takeBack.mutateAsync(id)
    return true
  })
  if (await gone) offerUndo(texts.takenBack, () => restore.mutateAsync(id))
}
</script>

<template>
  <section
    class="meanwhile grid gap-2 justify-items-start w-full"
    :aria-label="texts.whatElseChangedIn(trial.subject.tank)"
  >
    <ul v-if="trial.changes.length" class="list-none">
      <li v-for="change in trial.changes" :key="change.id ?? change.onDay + change.words">
        {{ changeWords(change) }}
        <el-button
          v-if="change.id && writes"
          class="print:hidden"
          type="primary"
          text
          :disabled="sending"
          @click="remove(change.id)"
        >
          {{ texts.takeBack }}<span class="seen-by-readers"> {{ change.words }}</span>
        </el-button>
      </li>
    </ul>
    <el-button v-if="writes && !open" class="print:hidden" @click="open = true">{{
      texts.somethingElseChanged
    }}</el-button>
    <form v-if="open" class="print:hidden" novalidate @submit.prevent="save">
      <div class="grid cols-[repeat(auto-fill,minmax(165px,1fr))] gap-16px max-w-640px mb-12px">
        <SelectField v-model="form.kind" :label="texts.whatChanged" name="kind" :choices="KINDS" />
        <DayField
          v-model="form.onDay"
          :label="texts.since"
          name="onDay"
          :min="trial.plan.began"
          :max="today()"
          :error="errors.onDay"
        />
        <TextField v-model="form.note" :label="texts.whatItWas" name="note" :error="errors.note" />
      </div>
      <p v-if="trouble && !errors.onDay && !errors.note" class="error" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :disabled="sending">{{ texts.noteIt }}</el-button>
      <el-button :disabled="sending" @click="open = false">{{ texts.cancel }}</el-button>
    </form>
  </section>
</template>
