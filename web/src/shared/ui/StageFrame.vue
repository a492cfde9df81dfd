<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import SectionSketch from '../drawing/SectionSketch.vue'
import { useBoard } from '../state/job'
import BehindNote from './BehindNote.vue'
import { stages, type StageKey } from '../state/stages'
import VerdictMark from './VerdictMark.vue'
import { useHelpOn } from '../state/help'
import { useNarrow } from '../state/narrow'

/**
 * A stage of a surface: surfaces at the left, the work in the middle, findings at the right (under it on a tablet held upright).
 * A wide stage lists the surfaces itself and takes the whole width; its findings stand under it.
 */
const props = defineProps<{ job: string; surface: string; stage: StageKey; wide?: boolean; route?: string }>()
// On a phone the stages and the surfaces are a sheet from below, opened from the foot of the page.
const PhoneFoot = defineAsyncComponent(() => import('./PhoneFoot.vue'))
const isNarrow = useNarrow()
useHelpOn(() => props.stage)
const { t } = useI18n()
const router = useRouter()
const board = useBoard(() => props.job)
const find = ref('')

const rows = computed(() => {
  const wanted = find.value.trim().toLowerCase()
  return (board.data.value?.rows ?? []).filter((row) => row.name.toLowerCase().includes(wanted))
})
// On a tablet the surfaces are a strip: the one in hand must not be out of sight.
watch(
  () => [props.surface, rows.value.length],
  async () => {
    await nextTick()
    const hand = document.querySelector('.surfaces .hand')
    hand?.parentElement?.scrollTo({ left: (hand as HTMLElement).offsetLeft - 60 })
  },
  { immediate: true },
)

const tabs = computed(() =>
  stages().map(({ key, built }) => ({ key, page: built?.to(props.job, props.surface || undefined) })),
)

const pageOf = (id: string) => ({ name: props.route ?? props.stage, params: { job: props.job, surface: id } })

// Whoever typed enough of a name goes on with Enter.
async function openFirst() {
  const [first] = rows.value
  if (!first || !find.value.trim()) return
  find.value = ''
  await router.push(pageOf(first.id))
}

const verdictAt = (row: (typeof rows.value)[number]) =>
  row.cells.find((cell) => cell.stage === props.stage)?.verdict ?? null
</script>

<template>
  <div class="frame" :class="{ wide }">
    <nav v-if="!wide && !isNarrow" class="surfaces no-print" :aria-label="t('board.surface')">
      <ElInput
        v-model="find"
        class="find"
        type="search"
        data-find
        :placeholder="t('keys.list.find')"
        :aria-label="t('keys.list.find')"
        @keydown.enter="openFirst"
      />
      <RouterLink
        v-for="row in rows"
        :key="row.id"
        :to="pageOf(row.id)"
        :class="{ hand: row.id === surface }"
        :aria-current="row.id === surface ? 'page' : undefined"
      >
        <SectionSketch :layers="row.sketch" :width="44" :height="28" />
        <span>{{ row.name }}</span>
        <VerdictMark :verdict="verdictAt(row)" />
      </RouterLink>
    </nav>
    <main id="work" class="work">
      <nav v-if="!isNarrow" class="stages no-print" :aria-label="t('board.title')">
        <template v-for="(one, i) in tabs" :key="one.key">
          <RouterLink
            v-if="one.page"
            :to="one.page"
            :class="{ here: one.key === stage }"
            :aria-current="one.key === stage ? 'page' : undefined"
            ><small>{{ i + 1 }}</small> {{ t(`stage.${one.key}`) }}</RouterLink
          >
          <span v-else class="later" :title="t('stage.laterHint', { stage: t(`stage.${one.key}`) })"
            ><small>{{ i + 1 }}</small> {{ t(`stage.${one.key}`) }}</span
          >
        </template>
      </nav>
      <PhoneFoot
        v-if="isNarrow"
        :job="job"
        :surface="surface"
        :stage="stage"
        :rows="board.data.value?.rows ?? []"
        :to="wide ? undefined : pageOf"
      />
      <BehindNote v-if="stage !== 'survey'" :job="job" />
      <slot />
    </main>
    <aside class="side"><slot name="side" /></aside>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 206px minmax(0, 1fr) 300px;
  align-items: start;
}
.frame.wide {
  grid-template-columns: minmax(0, 1fr);
}
.side:not(:has(*)) {
  display: none;
}
.frame.wide .side {
  border-left: 0;
  border-top: 1px solid var(--line);
}
.surfaces {
  border-right: 1px solid var(--line);
  padding: 10px 0;
  align-self: stretch;
}
.find {
  width: calc(100% - 24px);
  margin: 0 12px 8px;
}
.surfaces a {
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
}
.surfaces a.hand {
  background: var(--in-hand);
  box-shadow: inset 5px 0 var(--copper);
}
.work {
  padding: 10px 20px 40px;
}
.stages {
  display: flex;
  flex-wrap: wrap;
  margin-bottom: 14px;
}
.stages a,
.stages .later {
  font: 600 var(--text) var(--head);
  padding: 10px 9px;
  min-height: 44px;
  color: var(--ink-2);
  text-decoration: none;
}
.stages small {
  font: 400 0.85em var(--body);
}
.stages a.here {
  color: var(--ink);
  box-shadow: inset 0 -3px var(--copper);
}
.stages .later {
  font-weight: 400;
  opacity: 0.85;
}
.side {
  background: var(--sheet);
  border-left: 1px solid var(--line);
  padding: 18px 16px 40px;
  align-self: stretch;
}
@media (max-width: 1000px) {
  .frame {
    grid-template-columns: minmax(0, 1fr);
  }
  .surfaces {
    display: flex;
    overflow-x: auto;
    position: relative;
    border-right: 0;
    border-bottom: 1px solid var(--line);
    padding: 4px 8px;
  }
  .surfaces .find {
    display: none;
  }
  .surfaces a {
    grid-template-columns: 44px auto 16px;
    flex: none;
    max-width: 220px;
  }
  .surfaces a.hand {
    box-shadow: inset 0 -4px var(--copper);
  }
  .stages {
    position: fixed;
    left: 0;
    right: 0;
    bottom: 0;
    z-index: 5;
    margin: 0;
    flex-wrap: nowrap;
    justify-content: space-between;
    background: var(--sheet);
    border-top: 1px solid var(--line);
  }
  .stages a,
  .stages .later {
    padding: 16px 6px;
    font-size: 15px;
    white-space: nowrap;
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--line);
    padding: 18px 20px 90px;
  }
}
@media print {
  .frame {
    display: block;
  }
  .work {
    padding: 0;
  }
  .side {
    padding: 0;
    border: 0;
    background: none;
  }
}
</style>
