<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { useEdits } from '../shared/state/edits'
import { useFirstSteps, type FirstStep } from './firstSteps'

/** How far a new firm has set itself up, and what comes next. A step is done when what it asks for is there; any may be skipped. */
const emit = defineEmits<{ newJob: [] }>()
const { t } = useI18n()
const router = useRouter()
const edits = useEdits()
const first = useFirstSteps()
const steps = computed(() => first.data.value?.steps ?? [])
const next = computed(() => steps.value.find((one) => !one.done && !one.skipped)?.step)
const gone = computed(() => steps.value.filter((one) => one.done || one.skipped).length)

// A surface belongs to a job, a foam to a surface.
const canOpen = (step: FirstStep) =>
  step === 'surface' ? !!first.data.value?.job : step === 'verdict' ? !!first.data.value?.surface : true

function open(step: FirstStep) {
  const { job, surface } = first.data.value!
  const params = { job: job!, surface: surface! }
  const pages = {
    firm: { name: 'firm' },
    sheet: { name: 'sheets' },
    crew: { name: 'means' },
    place: { name: 'places' },
    surface: { name: 'survey', params },
    verdict: { name: 'section', params },
  }
  return step === 'job' ? emit('newJob') : router.push(pages[step])
}

const FIRM = { kind: 'firm', id: 'own' }
const skip = (...skipped: FirstStep[]) =>
  edits.keep(FIRM, Object.fromEntries(skipped.map((step) => [`skip:${step}`, 'yes'])))
const left = computed(() => steps.value.filter((one) => !one.done && !one.skipped).map(({ step }) => step))
</script>

<template>
  <section v-if="first.data.value && !first.data.value.complete" class="first" :aria-label="t('firstSteps.title')">
    <header>
      <h2>{{ t('firstSteps.title') }}</h2>
      <span class="quiet">{{ t('firstSteps.progress', { done: gone, all: steps.length }) }}</span>
      <ElButton link type="primary" @click="skip(...left)">{{ t('firstSteps.skipAll') }}</ElButton>
    </header>
    <div class="bar" aria-hidden="true"><span :style="{ width: `${(100 * gone) / steps.length}%` }" /></div>
    <p v-if="edits.faultAt(FIRM)" class="fault" role="alert">{{ edits.faultAt(FIRM) }}</p>
    <ol>
      <li v-for="one in steps" :key="one.step" :class="{ next: one.step === next, gone: one.done || one.skipped }">
        <div>
          <b>{{ t(`firstSteps.step.${one.step}.title`) }}</b>
          <span v-if="one.done" class="small">{{ t('firstSteps.done') }}</span>
          <span v-else-if="one.skipped" class="small">{{ t('firstSteps.skipped') }}</span>
          <p v-if="one.step === next" class="quiet">{{ t(`firstSteps.step.${one.step}.why`) }}</p>
        </div>
        <div v-if="!one.done && !one.skipped" class="acts">
          <ElButton v-if="canOpen(one.step)" :type="one.step === next ? 'primary' : undefined" @click="open(one.step)">
            {{ t(`firstSteps.step.${one.step}.do`) }}
          </ElButton>
          <ElButton link type="primary" @click="skip(one.step)">
            {{ t('firstSteps.skip') }}
            <span class="visually-hidden">{{ t(`firstSteps.step.${one.step}.title`) }}</span>
          </ElButton>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.first {
  background: var(--sheet);
  border-left: 5px solid var(--copper);
  padding: 14px 18px;
  margin-bottom: 24px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}
header .el-button {
  margin-left: auto;
}
.bar {
  height: 6px;
  border-radius: 3px;
  background: var(--line);
  margin: 8px 0 4px;
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--copper);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  justify-content: space-between;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li:first-child {
  border-top: 0;
}
li > div:first-child {
  flex: 1 1 260px;
}
li p {
  margin: 2px 0 0;
  max-width: 62ch;
}
li .small {
  margin-left: 10px;
}
.gone {
  color: var(--ink-2);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
</style>
