<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { useSignOut, type Session } from '@/features/account'
import { usePreferences } from '@/shared/preferences'

/** Behind the site's name: people, theme, keys, the way out. */
defineProps<{ session: Session }>()
const emit = defineEmits<{ keys: []; search: [] }>()

const router = useRouter()
const preferences = usePreferences()
const signOut = useSignOut()
const open = ref(false)
const panel = useTemplateRef<HTMLDivElement>('panel')
const button = useTemplateRef<HTMLButtonElement>('button')

async function toggle() {
  open.value = !open.value
  await nextTick()
  if (open.value) panel.value?.querySelector<HTMLElement>('a, button')?.focus()
}

function close(focus = false) {
  open.value = false
  if (focus) button.value?.focus()
}

function choose(action: () => unknown) {
  close()
  action()
}

async function leave() {
  await signOut.mutateAsync()
  await router.push({ name: 'door' })
}

/** Focus that goes elsewhere closes the menu. */
function lost(event: FocusEvent) {
  if (!(event.relatedTarget instanceof Node) || !panel.value?.contains(event.relatedTarget)) close()
}
</script>

<template>
  <div class="site" @keydown.escape="close(true)">
    <button ref="button" class="name" type="button" :aria-expanded="open" @click="toggle">
      <span class="at">{{ session.siteName }}<br /></span><span>{{ session.name }}</span>
    </button>
    <div v-if="open" ref="panel" class="panel" @focusout="lost">
      <RouterLink :to="{ name: 'people' }" @click="close()">People</RouterLink>
      <RouterLink :to="{ name: 'units' }" @click="close()">Units</RouterLink>
      <RouterLink :to="{ name: 'eye' }" @click="close()">How you see dirt</RouterLink>
      <RouterLink :to="{ name: 'how' }" @click="close()">How dates are learned</RouterLink>
      <button type="button" @click="choose(preferences.toggleTheme)">
        {{ preferences.theme === 'lamp' ? 'Day theme' : 'Lamp theme' }}
      </button>
      <button type="button" @click="choose(() => emit('search'))">Search</button>
      <button type="button" @click="choose(() => emit('keys'))">Keys</button>
      <button type="button" @click="leave">Sign out</button>
    </div>
  </div>
</template>

<style scoped>
.site {
  position: relative;
  margin-top: auto;
}

.name {
  width: 100%;
  padding: 6px 4px 6px 18px;
  border: 0;
  background: none;
  color: var(--ink-quiet);
  font: 13.5px/1.3 var(--text);
  text-align: left;
  cursor: pointer;
}

.panel {
  position: absolute;
  bottom: 0;
  left: 96px;
  z-index: 6;
  min-width: 180px;
  padding: 6px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  box-shadow: var(--shadow);
}

.panel > * {
  display: block;
  width: 100%;
  min-height: 42px;
  padding: 9px 12px;
  border: 0;
  background: none;
  color: var(--ink);
  font: 500 16px/1.4 var(--text);
  text-align: left;
  cursor: pointer;
}

.panel > :hover {
  background: var(--herb-soft);
}

@media (width <= 640px) {
  .site {
    flex: 1;
    margin: 0;
  }

  .name {
    height: 100%;
    padding: 0;
    text-align: center;
  }

  .name .at {
    display: none;
  }

  .panel {
    right: 8px;
    bottom: 64px;
    left: auto;
  }
}
</style>
