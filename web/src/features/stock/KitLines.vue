<script setup lang="ts">
import { texts } from './texts'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import { newKitLine, type KitLineForm } from './stores'

/** What one kit holds, part by part; empty for what is no kit. */
defineProps<{ names: string[]; errors: Record<string, string> }>()
const lines = defineModel<KitLineForm[]>({ required: true })
</script>

<template>
  <fieldset>
    <legend class="font-600">{{ lines.length ? texts.itIsAKit : texts.isItAKit }}</legend>
    <p v-if="!lines.length" class="quiet small">
      {{ texts.sayWhatIsIn }}
    </p>
    <div v-for="(line, i) in lines" :key="line.key" class="grid cols-[2_1_auto] gap-12px items-end mb-10px">
      <TextField
        v-model="line.name"
        :label="texts.part"
        :name="`kit[${i}].name`"
        :suggestions="names"
        :error="errors[`kit[${i}].name`]"
      />
      <NumberField
        v-model="line.count"
        :label="texts.howManyInOne"
        :name="`kit[${i}].count`"
        :error="errors[`kit[${i}].count`]"
      />
      <el-button
        type="primary"
        text
        :aria-label="texts.takeOutOfThe(line.name || texts.thisPart)"
        @click="lines = lines.filter((one) => one.key !== line.key)"
        >{{ texts.remove }}</el-button
      >
    </div>
    <p v-if="errors.kit" class="error" role="alert">{{ errors.kit }}</p>
    <el-button @click="lines = [...lines, newKitLine()]">{{ texts.addAPart }}</el-button>
  </fieldset>
</template>
