<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import FileChoice from '@/shared/components/FileChoice.vue'
import { datedDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import CountList from './CountList.vue'
import { previewArchive, useBringArchive, type Bringing } from './queries'
import { allNew, holds, STANDING, told } from './words'

/** At the table: another site's archive, or one tank of it, comes in. Nothing is stored until its keeper has seen what. */
const SHOWN = 12
const bring = useBringArchive()
const { sending, trouble, errors, send } = useSending()

const file = ref<File>()
const preview = ref<Bringing>()
const brought = ref<Bringing>()
const tanks = ref<number[]>([])
const stores = ref(false)

const fault = computed(() => errors.value.archive ?? trouble.value)
const choice = computed(() => ({ tanks: tanks.value, stores: stores.value }))
const shown = computed(() => brought.value ?? preview.value)
const counts = computed(() => (shown.value ? told(shown.value) : []))
const nothing = computed(() => preview.value && allNew(preview.value) === 0 && !returning.value)
const returning = computed(() =>
  preview.value?.tanks.some((tank) => tank.standing === 'DELETED_HERE' && tanks.value.includes(tank.id)),
)

async function choose(chosen: File) {
  file.value = chosen
  preview.value = brought.value = undefined
  tanks.value = []
  stores.value = false
  await look()
  tanks.value = preview.value ? chosenIn(preview.value) : []
}

const chosenIn = (one: Bringing) => one.tanks.filter((tank) => tank.chosen).map((tank) => tank.id)

async function look() {
  const asked = file.value
  if (!asked) return
  const answer = await send(() => previewArchive(asked, choice.value))
  if (answer && file.value === asked) preview.value = answer
}

async function pick(chosen: number[], withStores: boolean) {
  tanks.value = chosen
  stores.value = withStores
  if (chosen.length) await look()
}

async function confirm() {
  const given = file.value
  if (!given) return
  brought.value = await send(() => bring.mutateAsync({ file: given, choice: choice.value }))
}
</script>

<template>
  <main class="page">
    <h1>{{ texts.bringInAnArchive }}</h1>
    <section v-if="brought" role="status" aria-labelledby="in">
      <h2 id="in">{{ texts.itIsIn }}</h2>
      <CountList :counts="counts" />
      <p v-if="brought.faultCount">
        {{ texts.stayedOut(brought.faultCount, brought.faultCount === 1 ? texts.row : texts.rows) }}
      </p>
      <RouterLink :to="{ name: 'tanks' }">{{ texts.toTheTanks }}</RouterLink>
    </section>
    <template v-else>
      <p class="quiet max-w-68ch mt-10px">
        {{ texts.aFileThatChervil }}
      </p>
      <p class="flex gap-3 items-center my-3">
        <FileChoice
          accept=".zip,application/zip"
          :type="preview ? undefined : 'primary'"
          :disabled="sending"
          @chosen="choose"
        >
          {{ preview ? texts.chooseAnotherFile : texts.chooseTheFile }}
        </FileChoice>
        <span v-if="file" class="quiet">{{ file.name }}</span>
      </p>
      <p v-if="sending" class="quiet" role="status">{{ texts.readingTheArchive }}</p>
      <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
      <div v-if="preview" class="sides grid cols-[7_5] gap-40px items-start max-half:cols-1">
        <section aria-labelledby="from">
          <h2 id="from">
            {{
              texts.asItWasOn(
                preview.own ? texts.thisSite : preview.site,
                datedDay(preview.made.slice(0, 10)),
              )
            }}
          </h2>
          <p v-if="!preview.tanks.length">{{ texts.thereIsNoTank }}</p>
          <el-checkbox-group
            :model-value="tanks"
            @update:model-value="(chosen) => pick(chosen as number[], stores)"
          >
            <ul class="mt-2 mb-3">
              <li v-for="tank in preview.tanks" :key="tank.id" class="py-6px list-none">
                <el-checkbox :value="tank.id" :disabled="sending">
                  <b>{{ tank.name }}</b><span v-if="tank.deleted" class="quiet">{{
                    texts.deletedThere
                  }}</span>
                </el-checkbox>
                <p class="small quiet ml-26px">
                  {{ holds(tank)
                  }}<template v-if="STANDING[tank.standing]">; {{ STANDING[tank.standing] }}</template>
                </p>
              </li>
            </ul>
          </el-checkbox-group>
          <el-checkbox
            :model-value="stores"
            :disabled="sending"
            @update:model-value="(on) => pick(tanks, Boolean(on))"
          >
            {{ texts.storesVesselsAndThe }}
          </el-checkbox>
          <p class="small quiet">
            {{ texts.peopleThePlanAnd }}
          </p>
        </section>
        <aside>
          <section aria-labelledby="coming" role="status">
            <h2 id="coming">{{ texts.whatWouldComeIn }}</h2>
            <p v-if="!tanks.length && !stores">{{ texts.chooseATank }}</p>
            <template v-else>
              <p v-if="nothing">{{ texts.everythingIsHereAlready }}</p>
              <CountList :counts="counts" />
              <el-button
                type="primary"
                :loading="sending"
                :disabled="nothing || !tanks.length"
                @click="confirm"
              >
                {{ preview.faultCount ? texts.bringItInWithout(preview.faultCount) : texts.bringItIn }}
              </el-button>
            </template>
            <template v-if="preview.faults.length">
              <h3>{{ texts.rowsThatStayOut }}</h3>
              <ul class="mt-2 mb-3">
                <li
                  v-for="(one, place) in preview.faults.slice(0, SHOWN)"
                  :key="place"
                  class="py-6px list-none"
                >
                  <b>{{ texts.line(one.file, one.line) }}</b><template v-if="one.field"
                    >, {{ one.field }}</template
                  >: {{ one.words }}
                </li>
              </ul>
              <p v-if="preview.faultCount > SHOWN" class="small quiet">
                {{ texts.andMore(preview.faultCount - SHOWN) }}
              </p>
            </template>
          </section>
        </aside>
      </div>
    </template>
  </main>
</template>

<style scoped>
.el-checkbox-group {
  font-size: inherit;
  line-height: inherit;
}
</style>
