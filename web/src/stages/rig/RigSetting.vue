<script setup lang="ts">
import { v7 } from 'uuid'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useWriting } from '@/i18n/writing'
import type { Schemas } from '@/shared/api/client'
import type { Outcome } from '@/shared/keeping/editor'
import { useReader } from '@/shared/state/reader'
import { useSession } from '@/shared/state/session'
import { useTimes } from '@/shared/state/times'
import { useCommandForm } from '@/shared/state/typedForm'
import DoubtNote from '@/shared/ui/DoubtNote.vue'
import FoldBox from '@/shared/ui/FoldBox.vue'
import FormField from '@/shared/ui/FormField.vue'

/** How the rig is set: what is typed is what was changed, the rest stays. */
const props = defineProps<{ job: string; surface: string; rig: Schemas['RigOfSurface'] }>()
const { t } = useI18n()
const writing = useWriting()
const reader = useReader()
const session = useSession()
const times = useTimes(() => props.job)

const form = useCommandForm(
  () => `rig.${props.surface}`,
  { drumChanged: '' },
  () => ({ kind: 'rigSetting', id: `${props.surface}/${v7()}`, within: props.job }),
)
const { values: typed, faults, notice, busy } = form
const done = ref<Outcome | ''>('')
const maySet = computed(() => session.may('record'))
const setting = computed(() => props.rig.setting)
const drumChanged = computed({
  get: () => typed.drumChanged === 'yes',
  set: (is: boolean) => (typed.drumChanged = is ? 'yes' : ''),
})

// Another product has set points of its own: until it is set, those of its sheet are shown.
const shown = computed<Record<string, string>>(() => {
  const kept = setting.value?.isOfSurface ? setting.value : undefined
  const proposed = props.rig.proposed
  return {
    primaryA: reader.print(kept?.primaryA ?? proposed?.primaries),
    primaryB: reader.print(kept?.primaryB ?? proposed?.primaries),
    hose: reader.print(kept?.hose ?? proposed?.hose),
    pressure: reader.print(kept?.pressure ?? proposed?.pressure),
    tip: kept?.tip ?? proposed?.tip ?? '',
    lotA: kept?.lotA ?? '',
    lotB: kept?.lotB ?? '',
  }
})
const FIELDS = ['primaryA', 'primaryB', 'hose', 'pressure', 'tip', 'lotA', 'lotB'] as const
const summary = computed(() =>
  writing.listed(
    FIELDS.filter((field) => shown.value[field]).map((field) =>
      writing.labelled(t(`rig.setting.${field}`), shown.value[field]!),
    ),
  ),
)
const kindOf = (field: string) =>
  field === 'pressure' ? 'number' : /^(primary|hose)/.test(field) ? 'temperature' : undefined

async function save() {
  done.value = ''
  const outcome = await form.submit([], { rig: props.rig.rig ?? '' })
  done.value = outcome === 'refused' ? '' : outcome
}
</script>

<template>
  <form class="setting" novalidate @submit.prevent="save">
    <div class="head">
      <h2>{{ t('rig.setting.title') }}</h2>
      <p v-if="!setting" class="small">{{ t('rig.setting.none') }}</p>
      <p v-else-if="!setting.isOfSurface" class="small fault">{{ t('rig.setting.other', { sheet: setting.sheet }) }}</p>
      <p v-else class="small quiet">
        {{ t('rig.setting.by', { sheet: setting.sheet, by: setting.by, when: times.time(setting.at) }) }}
      </p>
      <p v-if="setting?.isOfSurface">{{ summary }}</p>
      <p class="small quiet">{{ t('rig.setting.lead') }}</p>
    </div>
    <FoldBox
      class="fold"
      :title="t('rig.setting.change')"
      :opened="!setting?.isOfSurface || Object.keys(form.typed.value).length > 0"
    >
      <div class="fields">
        <FormField
          v-for="field in FIELDS"
          :key="field"
          v-model="typed[field]"
          :name="field"
          :label="t(`rig.setting.${field}`)"
          :kind="kindOf(field)"
          :note="shown[field]"
          :disabled="!maySet"
          :fault="faults[field]"
        >
          <DoubtNote :doubt="form.doubtOf(field)" @other="form.submitOther(field, $event)" @right="form.right(field)" />
        </FormField>
        <ElCheckbox v-model="drumChanged" name="drumChanged" class="drum" :disabled="!maySet">{{
          t('rig.setting.drumChanged')
        }}</ElCheckbox>
      </div>
      <div class="go">
        <ElButton type="primary" native-type="submit" :disabled="busy || !maySet">{{ t('rig.setting.save') }}</ElButton>
        <span role="status" class="small quiet">{{
          done ? t(done === 'waits' ? 'window.waits' : 'rig.setting.saved') : ''
        }}</span>
        <span v-if="faults.rig || notice" class="fault" role="alert">{{ faults.rig ?? notice }}</span>
      </div>
    </FoldBox>
  </form>
</template>

<style scoped>
.setting {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 12px 16px 14px;
  margin-bottom: 20px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 10px 14px;
  align-items: start;
}
.drum {
  grid-column: 1 / -1;
}
.head p {
  margin: 2px 0;
}
.go {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
}
</style>
