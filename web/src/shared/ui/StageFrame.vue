<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useI18n } from 'vue-i18n'
import { useBoard } from '../state/job'
import BehindNote from './BehindNote.vue'
import { stages, type StageKey } from '../state/stages'
import SurfaceList from './SurfaceList.vue'
import { useHelpOn } from '../state/help'
import { useNarrow } from '../state/narrow'

/**
 * A stage of a surface: surfaces at the left, the work in the middle, findings at the right (under it on a tablet held upright).
 * A wide stage lists the surfaces itself and takes the whole width; its findings stand under it.
 */
const props = defineProps<{ job: string; surface: string; stage: StageKey; wide?: boolean; route?: string }>()
// On a phone the stages and the surfaces are a sheet from below, opened from the foot of the page.
const EditionsNote = defineAsyncComponent(() => import('./EditionsNote.vue'))
const PhoneFoot = defineAsyncComponent(() => import('./PhoneFoot.vue'))
const isNarrow = useNarrow()
useHelpOn(() => props.stage)
const { t } = useI18n()
const board = useBoard(() => props.job)
const tabs = computed(() =>
  stages().map(({ key, built }) => ({ key, page: built?.to(props.job, props.surface || undefined) })),
)

const pageOf = (id: string) => ({ name: props.route ?? props.stage, params: { job: props.job, surface: id } })
</script>

<template>
  <div class="frame" :class="{ wide }">
    <nav v-if="!wide && !isNarrow" class="surfaces no-print" :aria-label="t('board.surface')">
      <div data-scroller>
        <SurfaceList :rows="board.data.value?.rows ?? []" :surface="surface" :stage="stage" :to="pageOf" strip />
      </div>
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
      <!-- Survey, Spray and Prove show what has not been sent themselves; there a note that comes and goes would move what a thumb is at. -->
      <BehindNote v-if="stage !== 'survey' && stage !== 'spray' && stage !== 'prove'" :job="job" />
      <EditionsNote v-if="stage === 'sets' || stage === 'window'" :job="job" />
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
  align-self: stretch;
}
.surfaces > div {
  position: sticky;
  top: 0;
  max-height: 100vh;
  overflow-y: auto;
  padding: 10px 0;
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
    border-right: 0;
    border-bottom: 1px solid var(--line);
  }
  .surfaces > div {
    position: relative;
    overflow-x: auto;
    padding: 4px 8px;
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
