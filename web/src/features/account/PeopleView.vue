<script setup lang="ts">
import { texts } from './texts'
import { ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { momentWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import InviteBox from './InviteBox.vue'
import { useAccounts, useChangeRole, useRecovery, useRemoveAccount } from './queries'
import { ROLES, roleWord, useRights, type Role } from './rights'

/** At the table: who may come in here, as what, and how somebody new does. */
const accounts = useAccounts()
const change = useChangeRole()
const remove = useRemoveAccount()
const recovery = useRecovery()
const { mayKeep } = useRights()
const { sending, trouble, send } = useSending()

interface Person {
  id: number
  name: string
  role: Role
}
const leaving = ref<Person>()
const forgot = ref<Person>()

const shown = (person: Person | undefined) => person !== undefined

async function makeOne(person: Person, role: Role) {
  if (role === person.role || !(await send(() => change.mutateAsync({ account: person.id, role })))) return
  offerUndo(texts.isANow(person.name, roleWord(role)), () =>
    change.mutateAsync({ account: person.id, role: person.role }),
  )
}

async function takeAway(id: number) {
  await send(() => remove.mutateAsync(id))
  leaving.value = undefined
}

function forget(person: Person) {
  recovery.reset()
  forgot.value = person
}
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.people }}</h1>
    <p class="quiet">
      {{ texts.keepersDoEverythingHelpers }}
      <RouterLink v-if="mayKeep" :to="{ name: 'deeds' }">{{ texts.whatWasDoneHere }}</RouterLink>
    </p>
    <AsyncState
      :pending="accounts.isPending.value"
      :error="lacking(accounts)"
      :what="texts.thePeople"
      @retry="accounts.refetch()"
    >
      <ul class="people mt-3 mb-5">
        <li v-for="account in accounts.data.value" :key="account.id">
          <span>
            <strong>{{ account.name }}</strong>
            <span class="quiet">{{ texts.signsInAs(account.login) }}</span>
          </span>
          <template v-if="mayKeep">
            <SelectField
              :model-value="account.role"
              bare
              :label="texts.whatMayDo(account.name)"
              :name="`role-${String(account.id)}`"
              :choices="ROLES.map(({ value, label }) => ({ value, label }))"
              @update:model-value="(role) => role && makeOne(account, role)"
            />
            <span class="flex max-phone:col-span-full">
              <el-button type="primary" text @click="forget(account)">
                {{ texts.newPassword }}<span class="seen-by-readers"> {{ texts.for2(account.name) }}</span>
              </el-button>
              <el-button type="primary" text @click="leaving = account">
                {{ texts.remove }}<span class="seen-by-readers"> {{ account.name }}</span>
              </el-button>
            </span>
          </template>
          <span v-else>{{ roleWord(account.role) }}</span>
        </li>
      </ul>
    </AsyncState>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <InviteBox v-if="mayKeep" />
    <el-dialog
      :model-value="shown(leaving)"
      :title="texts.remove2(leaving?.name ?? '')"
      width="min(420px, 92vw)"
      @close="leaving = undefined"
    >
      <p>{{ texts.canNoLongerCome(leaving?.name ?? '') }}</p>
      <template #footer>
        <el-button type="primary" text @click="leaving = undefined">{{ texts.keep }}</el-button>
        <el-button type="primary" @click="leaving && takeAway(leaving.id)">{{ texts.remove }}</el-button>
      </template>
    </el-dialog>
    <el-dialog
      :model-value="shown(forgot)"
      :title="texts.aNewPasswordFor(forgot?.name ?? '')"
      width="min(460px, 92vw)"
      @close="forgot = undefined"
    >
      <template v-if="recovery.data.value">
        <p>
          {{ texts.opensTheSignIn(forgot?.name ?? '', momentWords(recovery.data.value.expiresAt)) }}
        </p>
        <p class="code [font:600_22px/1.4_var(--mono)] text-center [user-select:all]">
          {{ recovery.data.value.code.replace(/(.{5})(?=.)/g, '$1-') }}
        </p>
      </template>
      <p v-else>
        {{ texts.makesACodeBy(forgot?.name ?? '') }}
      </p>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
      <template #footer>
        <el-button type="primary" text @click="forgot = undefined">{{ texts.close }}</el-button>
        <el-button
          v-if="!recovery.data.value"
          type="primary"
          :loading="sending"
          @click="forgot && send(() => recovery.mutateAsync(forgot!.id))"
        >
          {{ texts.makeACode }}
        </el-button>
      </template>
    </el-dialog>
  </main>
</template>

<style scoped>
.people li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 130px auto;
  gap: var(--gap-3);
  align-items: center;
  min-height: 56px;
  border-bottom: 1px solid var(--hair);
}

@media (width <= 640px) {
  .people li {
    grid-template-columns: minmax(0, 1fr) 130px;
    padding: var(--gap-2) 0;
  }
}
</style>
