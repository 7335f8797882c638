<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { ACCESS, stageWord } from '@/shared/words'
import {
  moved,
  newChamber,
  newPlace,
  putInto,
  removePlace,
  unplaced,
  type ChamberForm,
  type InsideForm,
} from './inside'
import PlaceCard from './PlaceCard.vue'
import type { Filter } from './queries'

/** What sits where, in the order hands meet it: chambers, places and what lies in them. */
const props = defineProps<{ stages: Filter['stages']; errors: Record<string, string> }>()
const form = defineModel<InsideForm>({ required: true })

const waiting = computed(() => unplaced(form.value, props.stages))
const choices = computed(() =>
  props.stages.flatMap((stage, i) =>
    stageWord(stage.kind).lies ? [{ value: i, label: stage.name, hint: whereIs(i) }] : [],
  ),
)

function whereIs(stage: number): string {
  const place = form.value.chambers
    .flatMap((chamber) => chamber.places)
    .find((one) => one.contents.some((content) => content.stage === stage))
  return place ? texts.nowIn(place.name || texts.aPlaceWithoutA) : texts.hasNoPlaceYet
}

const at = (room: number) => `passport.chambers[${String(room)}]`

function addPlace(chamber: ChamberForm) {
  const names = [texts.theTopTray, texts.theMiddleTray, texts.theBottomTray]
  const free = names.find((name) => !chamber.places.some((place) => place.name === name))
  chamber.places.push(newPlace(free ?? ''))
}
</script>

<template>
  <div class="grid gap-3">
    <fieldset v-for="(chamber, room) in form.chambers" :key="chamber.key" class="grid gap-3">
      <legend v-if="form.chambers.length > 1" class="font-600">{{ texts.chamber(room + 1) }}</legend>
      <div class="grid cols-[repeat(auto-fit,minmax(170px,1fr))] gap-3">
        <TextField
          v-if="form.chambers.length > 1"
          v-model="chamber.name"
          :label="texts.nameOfThisChamber"
          :name="`${at(room)}.name`"
          :error="errors[`${at(room)}.name`]"
        />
        <SelectField
          v-model="chamber.access"
          :label="texts.whatIsInThe"
          :name="`${at(room)}.access`"
          :choices="ACCESS"
          :error="errors[`${at(room)}.access`]"
        />
      </div>
      <ol>
        <li v-for="(place, i) in chamber.places" :key="place.key">
          <PlaceCard
            v-model="chamber.places[i]!"
            :number="i"
            :at="`${at(room)}.places[${i}]`"
            :chamber="chamber"
            :stages="stages"
            :choices="choices"
            :errors="errors"
            @move="(by) => (chamber.places = moved(chamber.places, i, by))"
            @remove="removePlace(chamber, place.key)"
            @put="(stage) => putInto(form, stage, place)"
          />
        </li>
      </ol>
      <div>
        <el-button @click="addPlace(chamber)">{{ texts.addAPlaceBelow }}</el-button>
        <el-button
          v-if="form.chambers.length > 1"
          type="primary"
          text
          @click="form.chambers = form.chambers.filter((one) => one.key !== chamber.key)"
          >{{ texts.removeThisChamber }}</el-button
        >
      </div>
    </fieldset>
    <p v-if="waiting.length" class="waits" role="status">
      {{ texts.withoutAPlaceYet(waiting.map((stage) => stages[stage]?.name).join(', ')) }}
    </p>
    <p v-if="errors['passport.chambers']" class="error" role="alert">{{ errors['passport.chambers'] }}</p>
    <el-button class="justify-self-start" @click="form.chambers.push(newChamber())">{{
      texts.addAChamber
    }}</el-button>
  </div>
</template>
