<script setup lang="ts">
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
    <h1>Bring in an archive</h1>
    <section v-if="brought" role="status" aria-labelledby="in">
      <h2 id="in">It is in</h2>
      <CountList :counts="counts" />
      <p v-if="brought.faultCount">
        {{ brought.faultCount }} {{ brought.faultCount === 1 ? 'row' : 'rows' }} stayed out.
      </p>
      <RouterLink :to="{ name: 'tanks' }">To the tanks</RouterLink>
    </section>
    <template v-else>
      <p class="quiet max-w-68ch mt-10px">
        A file that Chervil wrote (.zip): a whole site, or one tank that another keeper gives you with its
        history. You see what would come in before anything is stored. The same file twice is there once.
      </p>
      <p class="flex gap-3 items-center my-3">
        <FileChoice
          accept=".zip,application/zip"
          :type="preview ? undefined : 'primary'"
          :disabled="sending"
          @chosen="choose"
        >
          {{ preview ? 'Choose another file' : 'Choose the file' }}
        </FileChoice>
        <span v-if="file" class="quiet">{{ file.name }}</span>
      </p>
      <p v-if="sending" class="quiet" role="status">Reading the archive …</p>
      <p v-if="fault" class="trouble" role="alert">{{ fault }}</p>
      <div v-if="preview" class="sides grid cols-[7_5] gap-40px items-start max-half:cols-1">
        <section aria-labelledby="from">
          <h2 id="from">
            {{ preview.own ? 'This site' : preview.site }}, as it was on
            {{ datedDay(preview.made.slice(0, 10)) }}
          </h2>
          <p v-if="!preview.tanks.length">There is no tank in this archive.</p>
          <el-checkbox-group
            :model-value="tanks"
            @update:model-value="(chosen) => pick(chosen as number[], stores)"
          >
            <ul class="mt-2 mb-3">
              <li v-for="tank in preview.tanks" :key="tank.id" class="py-6px list-none">
                <el-checkbox :value="tank.id" :disabled="sending">
                  <b>{{ tank.name }}</b><span v-if="tank.deleted" class="quiet">, deleted there</span>
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
            Stores, vessels and the site’s own rules too
          </el-checkbox>
          <p class="small quiet">
            People, the plan and services under way stay where they are. Who did each service stays written
            there.
          </p>
        </section>
        <aside>
          <section aria-labelledby="coming" role="status">
            <h2 id="coming">What would come in</h2>
            <p v-if="!tanks.length && !stores">Choose a tank.</p>
            <template v-else>
              <p v-if="nothing">Everything is here already.</p>
              <CountList :counts="counts" />
              <el-button
                type="primary"
                :loading="sending"
                :disabled="nothing || !tanks.length"
                @click="confirm"
              >
                {{
                  preview.faultCount
                    ? `Bring it in, without ${String(preview.faultCount)} rows`
                    : 'Bring it in'
                }}
              </el-button>
            </template>
            <template v-if="preview.faults.length">
              <h3>Rows that stay out</h3>
              <ul class="mt-2 mb-3">
                <li
                  v-for="(one, place) in preview.faults.slice(0, SHOWN)"
                  :key="place"
                  class="py-6px list-none"
                >
                  <b>{{ one.file }}, line {{ one.line }}</b
                  ><template v-if="one.field">, {{ one.field }}</template
                  >: {{ one.words }}
                </li>
              </ul>
              <p v-if="preview.faultCount > SHOWN" class="small quiet">
                And {{ preview.faultCount - SHOWN }} more.
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
