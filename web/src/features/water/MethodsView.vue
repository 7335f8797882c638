<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import MethodForm from './MethodForm.vue'
import { lasting } from './tests'
import { useAddParameter, useMethods, useParameters, type Method } from './queries'

/** At the table: kits and meters with their times as the label says, and parameters of the site's own. */
const props = defineProps<{ tank: number }>()

const methods = useMethods()
const parameters = useParameters()
const add = useAddParameter()
const { sending, errors, trouble, send } = useSending()

const editing = ref<Method>()
const own = reactive({ name: '', unit: '' })
const groups = computed(() =>
  (parameters.data.value ?? []).map((parameter) => ({
    parameter,
    methods: (methods.data.value ?? []).filter((one) => one.parameter === parameter.code),
  })),
)
const DOING = { SHAKE: 'shake', WAIT: 'wait' }
const steps = (method: Method) =>
  method.steps.map((step) => `${DOING[step.what]} ${lasting(step.seconds)}`).join(', ') || texts.noWaiting

async function addOwn() {
  if (await send(() => add.mutateAsync({ ...own }))) Object.assign(own, { name: '', unit: '' })
}
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="methods.isPending.value || parameters.isPending.value"
      :error="lacking(methods, parameters)"
      :what="texts.theKits"
      @retry="(methods.refetch(), parameters.refetch())"
    >
      <h1>{{ texts.testKitsAndParameters }}</h1>
      <p class="quiet">{{ texts.setTheTimesTo }}</p>
      <section v-for="group in groups" :key="group.parameter.code" class="mt-3">
        <h2>{{ group.parameter.label }}</h2>
        <p
          v-for="method in group.methods"
          :key="method.name"
          class="method flex justify-between items-center min-h-44px edge-b-hair"
        >
          <span>
            {{ method.name }}
            <span class="small quiet"
              >{{ steps(method)
              }}<template v-if="method.limit">
                {{ texts.showsFrom2(method.limit, group.parameter.unit) }}</template
              ></span
            >
          </span>
          <el-button type="primary" text @click="editing = method">
            {{ texts.change
            }}<span class="seen-by-readers"> {{ texts.for(method.name, group.parameter.label) }}</span>
          </el-button>
        </p>
        <MethodForm
          v-if="editing?.parameter === group.parameter.code"
          :key="editing.name"
          class="grid gap-10px justify-items-start mt-2 mb-20px mx-0"
          :method="editing"
          :unit="group.parameter.unit"
          @done="editing = undefined"
        />
        <el-button
          v-else
          type="primary"
          text
          @click="editing = { parameter: group.parameter.code, name: '', limit: 0, steps: [] }"
        >
          {{ texts.addAMethod }}<span class="seen-by-readers"> {{ texts.for2(group.parameter.label) }}</span>
        </el-button>
      </section>
      <h2>{{ texts.aParameterOfYour }}</h2>
      <form class="grid gap-10px justify-items-start mt-2 mb-20px" novalidate @submit.prevent="addOwn">
        <TextField v-model="own.name" :label="texts.name" name="name" :error="errors.name" />
        <TextField v-model="own.unit" :label="texts.unit" name="unit" :error="errors.unit" />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <el-button native-type="submit" :disabled="sending">{{ texts.addIt }}</el-button>
      </form>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">{{
        texts.toTheWater
      }}</RouterLink>
    </AsyncState>
  </main>
</template>
