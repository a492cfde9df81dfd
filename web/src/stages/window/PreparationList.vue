<script setup lang="ts">
import { ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Schemas } from '@/shared/api/client'
import { useProblems } from '@/shared/figures/problems'
import { onTop, useSurfaceEdits, useWindow } from '@/shared/state/job'
import { useSession } from '@/shared/state/session'

/** What must be ready before foam; ticks feed rule G13. */
type Item = Schemas['PreparationItem']
const props = defineProps<{ job: string; surface: string; prepared: readonly Item[]; version: number }>()
const { t } = useI18n()
const session = useSession()
const window = useWindow(() => props.surface)
const edits = useSurfaceEdits(() => props.job)
const { general } = useProblems()
const items: readonly Item[] = ['clean', 'dry', 'firm', 'sealed', 'masked', 'leaksMended', 'jointsReady']
const ticked = ref(new Set(props.prepared))
const fault = ref('')

// While ticks are on their way, what the server last knew must not undo the newer ones on the screen.
let underWay = 0
watch(
  () => props.prepared,
  (now) => {
    if (underWay === 0) ticked.value = new Set(now)
  },
)

// Ticks follow one another quickly: each waits for the version the last one made.
let queue: Promise<unknown> = Promise.resolve()

function tick(item: Item) {
  const next = new Set(ticked.value)
  if (!next.delete(item)) next.add(item)
  ticked.value = next
  underWay++
  queue = queue.then(() => keep([...next].join(','))).finally(() => underWay--)
}

async function keep(prepared: string) {
  try {
    fault.value = ''
    const version = () => window.data.value?.version ?? props.version
    const save = () => edits.change({ id: props.surface, version: version() }, { prepared })
    await onTop(save, () => window.refetch())
    await window.refetch()
  } catch (cause) {
    ticked.value = new Set(window.data.value?.prepared ?? props.prepared)
    fault.value = general(cause)
  }
}
</script>

<template>
  <fieldset :disabled="!session.person?.mayEdit">
    <legend>{{ t('window.prep') }} {{ ticked.size }}/{{ items.length }}</legend>
    <label v-for="item in items" :key="item">
      <input type="checkbox" :checked="ticked.has(item)" @change="tick(item)" />
      {{ t(`window.prepItem.${item}`) }}
    </label>
    <p class="fault" role="alert">{{ fault }}</p>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  font: 650 1.15rem var(--head);
  padding: 0;
  margin-bottom: 6px;
}
label {
  position: relative;
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
input {
  width: 22px;
  height: 22px;
  accent-color: var(--copper);
  flex: none;
}
</style>
