<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import NumberField from '@/shared/components/NumberField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { money, typedNumber } from '@/shared/units'
import { lowerFirst } from '@/shared/words'
import { useMove, useOpenKit, useTakeMoveBack, type StockItem, type StockMove } from './queries'
import { amountWords, fitWords, KIND_WORDS, lastsWords, markOf, shelfWords } from './stores'
import StockLine from './StockLine.vue'
import { newId } from '@/shared/ids'

/** One thing: what is there, how long it lasts, and what happened to it in one number and one press. */
const props = defineProps<{ entry: StockItem }>()

const move = useMove()
const takeBack = useTakeMoveBack()
const open = useOpenKit()
const { sending, errors, trouble, send, refuse } = useSending()
const typed = ref('')
const item = computed(() => props.entry.item)
const mark = computed(() => markOf(props.entry))
const rotation = computed(() => props.entry.rotation)
/** Who wants it, or what it holds. */
const usedFor = computed(() =>
  item.value.kit
    ? texts.kitOf(item.value.kit.map((line) => lowerFirst(line.name)).join(', '))
    : props.entry.use.tanks.join(', ') || texts.noTaskUsesIt,
)
const owned = computed(() => (props.entry.shelf?.ready ?? 0) + (props.entry.shelf?.dirty ?? 0))

async function happened(kind: StockMove['kind']) {
  const amount = typedNumber(typed.value)
  if (amount === undefined || Number.isNaN(amount)) {
    refuse({ amount: texts.howMany })
    return
  }
  const id = newId()
  const done = send(async () => {
    await move.mutateAsync({ id, itemId: props.entry.id, kind, amount, on: today() })
    return true
  })
  if (!(await done)) return
  typed.value = ''
  offerUndo(`${item.value.name}: ${amountWords(amount, item.value.unit)} ${KIND_WORDS[kind]}.`, () =>
    takeBack.mutateAsync(id),
  )
}

/** Its parts are on the shelf from now on. */
async function openOne() {
  const id = newId()
  const opened = send(async () => {
    await open.mutateAsync({ id, itemId: props.entry.id, on: today() })
    return true
  })
  if (await opened) offerUndo(texts.opened(item.value.name), () => takeBack.mutateAsync(id))
}
</script>

<template>
  <article class="thing" :class="mark" :aria-label="item.name">
    <div>
      <h2>
        <RouterLink :to="{ name: 'store-item', params: { item: entry.id } }">{{ item.name }}</RouterLink>
      </h2>
      <p class="small quiet">{{ usedFor }}</p>
    </div>
    <p>
      <b v-if="entry.shelf" class="num">{{ amountWords(entry.shelf.ready, item.unit) }}</b>
      <span v-if="entry.shelf && item.turned" class="small">
        {{ texts.clean }} <span class="num">{{ entry.shelf.dirty }}</span> {{ texts.dirty }}</span
      >
      <br />
      <span class="mark small mr-6px font-680">{{ shelfWords(entry) }}</span>
      <span class="small quiet">{{
        texts.below(item.turned ? texts.wash : texts.order, amountWords(item.reorderAt, item.unit))
      }}</span>
    </p>
    <div>
      <StockLine :item="entry" />
      <p class="small quiet">
        {{ lastsWords(entry) }}
        <template v-if="rotation">
          {{ texts.own }} <span class="num">{{ rotation.needed }}</span>{{
            entry.shelf ? texts.youHave(owned) : ''
          }}
        </template>
      </p>
    </div>
    <p class="cost num leading-1.2 text-right">
      <template v-if="entry.use.costAYear !== undefined && !item.kit"
        >{{ money(entry.use.costAYear) }}<br /><span class="small quiet font-text">{{
          texts.aYear
        }}</span></template
      >
    </p>
    <form
      class="flex flex-wrap gap-6px max-desk:col-span-full"
      novalidate
      data-field="amount"
      @submit.prevent="happened('BOUGHT')"
    >
      <NumberField
        v-model="typed"
        class="w-104px"
        :label="texts.howMany2(item.name)"
        name="amount"
        :placeholder="texts.howMany3"
        bare
      />
      <el-button class="[padding-inline:12px]" native-type="submit" :disabled="sending">{{
        texts.bought
      }}</el-button>
      <el-button class="[padding-inline:12px]" :disabled="sending" @click="happened('COUNTED')">
        {{ texts.counted }}
      </el-button>
      <el-button
        v-if="item.turned"
        class="[padding-inline:12px]"
        :disabled="sending"
        @click="happened('WASHED')"
      >
        {{ texts.washed }}
      </el-button>
      <el-button
        v-if="item.kit"
        class="[padding-inline:12px]"
        :disabled="sending || !entry.shelf?.ready"
        @click="openOne"
      >
        {{ texts.openOne }}
      </el-button>
      <p v-if="errors.amount || trouble" class="error small w-full text-brick" role="alert">
        {{ errors.amount ?? trouble }}
      </p>
    </form>
    <p v-if="item.kit" class="small quiet col-span-full">{{ fitWords(entry) }}</p>
  </article>
</template>

<style scoped>
.thing {
  display: grid;
  grid-template-columns: minmax(150px, 1fr) 164px 230px 84px 396px;
  gap: 6px 18px;
  align-items: center;
  padding: 10px 0;
  border-top: 1px solid var(--hair);
}

.out .mark {
  color: var(--brick);
}

.low .mark {
  color: var(--amber);
}

@media (width <= 1100px) {
  .thing {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
