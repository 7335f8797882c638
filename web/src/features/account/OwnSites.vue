<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { useDeleteSite, useFound, useGoTo, useLeave, useSession } from './queries'
import { roleWord } from './rights'

/** The sites a person is on: going over, founding one, leaving and deleting. */
const { data: session } = useSession()
const goTo = useGoTo()
const found = useFound()
const leave = useLeave()
const remove = useDeleteSite()
const { sending, errors, trouble, send } = useSending()

const name = ref('')
const asking = ref<'leave' | 'delete' | 'found'>()
const places = computed(() => session.value?.places ?? [])

function ask(what: 'leave' | 'delete' | 'found') {
  name.value = ''
  errors.value = {}
  trouble.value = ''
  asking.value = what
}

const done = (action: () => Promise<unknown>) =>
  send(async () => {
    await action()
    return true
  })

async function answer() {
  const what = asking.value
  const went = await done(() => {
    if (what === 'leave') return leave.mutateAsync()
    return what === 'delete' ? remove.mutateAsync(name.value) : found.mutateAsync(name.value)
  })
  if (!went) return
  asking.value = undefined
}

const go = (site: number) => done(() => goTo.mutateAsync(site))

const TITLE = { leave: texts.leaveThisSite, delete: texts.deleteThisSite, found: texts.anotherSite }
const ACTION = { leave: 'Leave', delete: 'Delete', found: texts.makeTheSite }
</script>

<template>
  <section class="mt-4 mb-5">
    <h2>{{ texts.yourSites }}</h2>
    <ul class="sites lines">
      <li v-for="place in places" :key="place.siteId">
        <span>
          <strong>{{ place.name }}</strong> <span class="quiet">{{ roleWord(place.role) }}</span>
          <span v-if="place.deletedAt" class="quiet">{{ texts.deleted }}</span>
        </span>
        <span v-if="place.here">{{ texts.youAreHere }}</span>
        <el-button v-else :disabled="sending" @click="go(place.siteId)">
          {{ texts.goThere }}<span class="seen-by-readers">{{ texts.to(place.name) }}</span>
        </el-button>
      </li>
    </ul>
    <p v-if="trouble && !asking" class="trouble" role="alert">{{ trouble }}</p>
    <p v-if="session?.role === 'KEEPER'">
      <a href="/api/archive.zip" download>{{ texts.downloadEverythingOf(session.siteName ?? '') }}</a>
      <span class="quiet">{{ texts.inOpenFormatsPhotos }}</span>
    </p>
    <p v-if="session?.role === 'KEEPER'">
      <RouterLink :to="{ name: 'archive' }">{{ texts.bringInAnArchive }}</RouterLink>
      <span class="quiet">{{ texts.ofASiteOr }}</span>
    </p>
    <el-button type="primary" text @click="ask('found')">{{ texts.anotherSite }}</el-button>
    <el-button type="primary" text @click="ask('leave')">{{
      texts.leave(session?.siteName ?? '')
    }}</el-button>
    <el-button v-if="session?.role === 'KEEPER'" type="danger" text @click="ask('delete')">
      {{ texts.delete(session.siteName ?? '') }}
    </el-button>
    <el-dialog
      :model-value="asking !== undefined"
      :title="asking && TITLE[asking]"
      width="min(460px, 92vw)"
      @close="asking = undefined"
    >
      <form id="site-form" class="grid gap-3" novalidate @submit.prevent="answer">
        <p v-if="asking === 'leave'">
          {{ texts.youCanComeBack }}
        </p>
        <template v-else-if="asking === 'delete'">
          <p>
            {{ texts.everybodyButKeepersIs }}
            <a href="/api/archive.zip" download>{{ texts.downloadEverything }}</a>.
          </p>
          <TextField
            v-model="name"
            :label="texts.toBeSureType(session?.siteName ?? '')"
            name="name"
            :error="errors.name"
          />
        </template>
        <template v-else>
          <p>{{ texts.tanksPeopleStoresAnd }}</p>
          <TextField
            v-model="name"
            :label="texts.name"
            name="name"
            :hint="texts.yourHomeClubOr"
            :error="errors.name"
          />
        </template>
        <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      </form>
      <template #footer>
        <el-button type="primary" text @click="asking = undefined">{{ texts.notNow }}</el-button>
        <el-button
          :type="asking === 'delete' ? 'danger' : 'primary'"
          native-type="submit"
          form="site-form"
          :loading="sending"
        >
          {{ asking && ACTION[asking] }}
        </el-button>
      </template>
    </el-dialog>
  </section>
</template>
