<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import NumberField from '@/shared/components/NumberField.vue'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import { useSaveWeek, type PeopleTime } from './queries'

/** A person's usual week, seven numbers of minutes. */
const props = defineProps<{ person: PeopleTime['people'][number] }>()

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const save = useSaveWeek()
const { sending, trouble, send } = useSending()
const typed = ref<string[]>([])
const wrong = ref('')
watch(
  () => props.person.minutes,
  (minutes) => (typed.value = minutes.map(String)),
  { immediate: true },
)
const changed = computed(() => typed.value.some((text, day) => text !== String(props.person.minutes[day])))

async function store() {
  const minutes = typed.value.map((text) => typedNumber(text) ?? 0)
  const bad = minutes.findIndex((count) => !Number.isInteger(count) || count < 0 || count > 1440)
  wrong.value = bad >= 0 ? texts.wholeMinutes0To(DAYS[bad] ?? '') : ''
  if (wrong.value) return
  await send(() => save.mutateAsync({ account: props.person.accountId, minutes }))
}
</script>

<template>
  <form class="person" novalidate @submit.prevent="store">
    <b class="self-center">{{ person.name }}</b>
    <div v-for="(day, index) in DAYS" :key="day">
      <span class="small quiet" aria-hidden="true">{{ day }}</span>
      <NumberField
        v-model="typed[index]!"
        :label="texts.minutesOn(person.name, day)"
        :name="`minutes[${String(index)}]`"
        bare
      />
    </div>
    <el-button type="primary" native-type="submit" :disabled="sending || !changed">
      {{ texts.save }}<span class="seen-by-readers"> {{ person.name }}</span>
    </el-button>
    <p v-if="wrong || trouble" class="error col-span-full text-brick" role="alert">{{ wrong || trouble }}</p>
  </form>
</template>

<style scoped>
.person {
  display: grid;
  grid-template-columns: 90px repeat(7, minmax(44px, 64px)) auto;
  gap: 8px;
  align-items: end;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}

@media (width <= 640px) {
  .person {
    grid-template-columns: repeat(4, 1fr);
  }
}
</style>
