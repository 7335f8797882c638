<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { Session } from '@/features/account'
import { BackupAge } from '@/features/upkeep'
import { useMayGo } from '@/shared/allowed'
import { OF_SITE } from './places'
import { useSiteActions } from './siteActions'

/** Behind the site's name: people, units, theme, keys, the way out. */
defineProps<{ session: Session }>()
const emit = defineEmits<{ keys: []; search: []; tour: [] }>()

const router = useRouter()
const actions = useSiteActions()
const mayGo = useMayGo()
const ways = computed(() => OF_SITE.filter(({ name }) => mayGo({ name })))
</script>

<template>
  <el-dropdown class="site mt-auto" trigger="click" placement="right-end" :teleported="false">
    <el-button
      text
      class="name w-full py-6px pr-1 pl-18px text-ink-quiet [font:13.5px/1.3_var(--text)] text-left"
    >
      <span
        >{{ session.siteName }}<br />{{ session.name }}<BackupAge v-if="session.role === 'KEEPER'"
      /></span>
    </el-button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="one in ways" :key="one.name" @click="router.push({ name: one.name })">
          {{ one.label }}
        </el-dropdown-item>
        <el-dropdown-item divided @click="actions.turnTheme">
          {{ actions.themeWords.value }}
        </el-dropdown-item>
        <el-dropdown-item @click="emit('search')">{{ texts.search }}</el-dropdown-item>
        <el-dropdown-item @click="emit('keys')">{{ texts.keys }}</el-dropdown-item>
        <el-dropdown-item @click="emit('tour')">{{ texts.showMeAround }}</el-dropdown-item>
        <el-dropdown-item divided @click="actions.leave">{{ texts.signOut2 }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
