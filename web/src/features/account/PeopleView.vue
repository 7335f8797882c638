<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { useAccounts, useAddHelper, useRemoveAccount, useSession } from './queries'

/** At the table: who may sign in here. */
const { data: session } = useSession()
const accounts = useAccounts()
const add = useAddHelper()
const remove = useRemoveAccount()
const { sending, errors, trouble, send } = useSending()

const keeper = computed(() => session.value?.role === 'KEEPER')
const helper = reactive({ login: '', name: '', password: '' })
const leaving = ref<{ id: number; name: string }>()
const asking = computed({ get: () => leaving.value !== undefined, set: () => (leaving.value = undefined) })

async function addHelper() {
  if (await send(() => add.mutateAsync({ ...helper })))
    Object.assign(helper, { login: '', name: '', password: '' })
}

async function removeHelper(id: number) {
  await send(() => remove.mutateAsync(id))
  leaving.value = undefined
}
</script>

<template>
  <main class="page narrow">
    <h1>People</h1>
    <p class="quiet">Helpers do and log work. Only a keeper deletes tanks and manages people.</p>
    <AsyncState
      :pending="accounts.isPending.value"
      :error="accounts.error.value"
      what="the people"
      @retry="accounts.refetch()"
    >
      <ul class="people">
        <li v-for="account in accounts.data.value" :key="account.id">
          <span>
            <strong>{{ account.name }}</strong> <span class="quiet">signs in as {{ account.login }}</span>
          </span>
          <span>{{ account.role === 'KEEPER' ? 'keeper' : 'helper' }}</span>
          <el-button
            v-if="keeper && account.role === 'HELPER'"
            type="primary"
            text
            @click="leaving = account"
          >
            Remove<span class="seen-by-readers"> {{ account.name }}</span>
          </el-button>
        </li>
      </ul>
    </AsyncState>
    <form v-if="keeper" novalidate @submit.prevent="addHelper">
      <h2>Add a helper</h2>
      <TextField v-model="helper.name" label="Their name" name="name" :error="errors.name" />
      <TextField v-model="helper.login" label="Name to sign in with" name="login" :error="errors.login" />
      <TextField
        v-model="helper.password"
        label="First password"
        name="password"
        type="password"
        autocomplete="new-password"
        hint="At least 10 characters; hand it over in person."
        :error="errors.password"
      />
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :disabled="sending">Add helper</el-button>
    </form>
    <el-dialog v-model="asking" title="Remove this helper?" width="min(420px, 92vw)">
      <p>{{ leaving?.name }} can no longer sign in. What they logged keeps their name.</p>
      <template #footer>
        <el-button type="primary" text @click="leaving = undefined">Keep</el-button>
        <el-button type="primary" @click="leaving && removeHelper(leaving.id)">Remove</el-button>
      </template>
    </el-dialog>
  </main>
</template>

<style scoped>
.people {
  margin: var(--gap-3) 0 var(--gap-5);
}

.people li {
  display: grid;
  grid-template-columns: 1fr auto 110px;
  gap: var(--gap-3);
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--hair);
}

form {
  display: grid;
  gap: var(--gap-3);
  max-width: 420px;
}
</style>
