<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter, type RouteLocationRaw } from 'vue-router'
import SectionSketch from '../drawing/SectionSketch.vue'
import type { BoardRow } from '../state/boardCells'
import { useRowWindow } from '../state/rowWindow'
import type { StageKey } from '../state/stages'
import VerdictMark from './VerdictMark.vue'

/** The surfaces of a job as links to one stage, with what it says of each; found by their names. Of many only those on the screen are drawn. */
const props = defineProps<{
  rows: readonly BoardRow[]
  /** The one in hand. */
  surface?: string
  stage?: StageKey
  to: (surface: string) => RouteLocationRaw
  /** Stands as a strip on a tablet held upright. */
  strip?: boolean
}>()
const emit = defineEmits<{ go: [] }>()
const LINE = 44
/** So many on either side of the one in hand stand in a strip; the board has them all. */
const BESIDE = 30
const { t } = useI18n()
const router = useRouter()
const isLow = useMediaQuery('(width <= 1000px)')
const isStrip = computed(() => props.strip && isLow.value)
const find = ref('')

const found = computed(() => {
  const wanted = find.value.trim().toLowerCase()
  return props.rows.filter((row) => row.name.toLowerCase().includes(wanted))
})
const at = computed(() =>
  Math.max(
    0,
    found.value.findIndex((row) => row.id === props.surface),
  ),
)
const list = useTemplateRef('list')
const lines = useRowWindow(() => found.value.length, list, LINE)
const drawn = computed(() =>
  isStrip.value
    ? found.value.slice(Math.max(0, at.value - BESIDE), at.value + BESIDE)
    : found.value.slice(lines.from.value, lines.to.value),
)
const gap = (height: number) => (isStrip.value ? 0 : height)

// The one in hand must not be out of sight.
watch(
  () => [props.surface, props.rows.length, isStrip.value],
  async () => {
    await nextTick()
    const box = list.value?.closest<HTMLElement>('[data-scroller]')
    const hand = list.value?.querySelector<HTMLElement>('.hand')
    if (!box) return
    if (isStrip.value) return box.scrollTo({ left: (hand?.offsetLeft ?? 0) - 60 })
    const [shown, where] = [box.getBoundingClientRect(), hand?.getBoundingClientRect()]
    if (where && where.top >= shown.top && where.bottom <= shown.bottom) return
    box.scrollTo({ top: at.value * LINE - box.clientHeight / 2 })
  },
  { immediate: true, flush: 'post' },
)

// Whoever typed enough of a name goes on with Enter.
async function openFirst() {
  const [first] = found.value
  if (!first || !find.value.trim()) return
  find.value = ''
  emit('go')
  await router.push(props.to(first.id))
}
</script>

<template>
  <ElInput
    v-if="!isStrip"
    v-model="find"
    class="find"
    type="search"
    :placeholder="t('board.findSurface')"
    :aria-label="t('board.findSurface')"
    @keydown.enter="openFirst"
  />
  <div ref="list" class="list" :class="{ strip: isStrip }">
    <div v-if="gap(lines.before.value)" aria-hidden="true" :style="{ height: `${lines.before.value}px` }" />
    <RouterLink
      v-for="row in drawn"
      :key="row.id"
      :to="to(row.id)"
      :class="{ hand: row.id === surface }"
      :aria-current="row.id === surface ? 'page' : undefined"
      @click="emit('go')"
    >
      <SectionSketch :layers="row.sketch" :width="44" :height="28" />
      <span>{{ row.name }}</span>
      <VerdictMark v-if="stage" :verdict="row.cells.find((cell) => cell.stage === stage)?.verdict ?? null" />
    </RouterLink>
    <div v-if="gap(lines.after.value)" aria-hidden="true" :style="{ height: `${lines.after.value}px` }" />
    <p v-if="!found.length && find" class="quiet small nothing">{{ t('board.noneFound') }}</p>
  </div>
</template>

<style scoped>
.find {
  width: calc(100% - 24px);
  margin: 0 12px 8px;
}
a {
  display: grid;
  grid-template-columns: 44px 1fr 16px;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  padding: 4px 14px;
  color: inherit;
  text-decoration: none;
  font-size: 14px;
  line-height: 1.2;
  contain: content;
}
a.hand {
  background: var(--in-hand);
  box-shadow: inset 5px 0 var(--copper);
}
.nothing {
  padding: 8px 14px;
}
.strip {
  display: flex;
}
.strip a {
  grid-template-columns: 44px auto 16px;
  flex: none;
  max-width: 220px;
}
.strip a.hand {
  box-shadow: inset 0 -4px var(--copper);
}
</style>
