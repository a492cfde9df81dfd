<script setup lang="ts">
import { useWriting } from '@/i18n/writing'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { api, ask } from '@/shared/api/client'
import { once } from '@/shared/api/once'
import { useProblems } from '@/shared/figures/problems'
import type { Surface } from '@/shared/state/job'
import { useReader } from '@/shared/state/reader'
import { useTemplates } from '@/shared/state/survey'
import type { Typed } from '@/shared/state/typed'
import TypedField from '@/shared/ui/TypedField.vue'
import LayersEditor from '@/shared/ui/LayersEditor.vue'
import FormField from '@/shared/ui/FormField.vue'

/** What lies outboard and inboard, and the members between; kept as a template of the firm where it will come again. */
const props = defineProps<{ job: string; surface: Surface; typed: Typed; locked: boolean }>()
const { t } = useI18n()
const { noted } = useWriting()
const reader = useReader()
const queries = useQueryClient()
const templates = useTemplates()
const { byField } = useProblems()

const name = ref('')
const said = ref('')
const members = computed(() =>
  ['none', 'wood', 'steelStud', 'girt'].map((value) => ({ value, text: t(`member.${value}`) })),
)
const own = computed(() => [
  { value: '', text: t('survey.sheet.pickTemplate') },
  ...(templates.data.value ?? []).map((one) => ({ value: one.id, text: noted(one.name, t(`kind.${one.kind}`)) })),
])

async function keep() {
  try {
    const body = { name: name.value }
    const { id } = props.surface
    await once('template', [id, body], (command) =>
      ask(api.POST('/api/surfaces/{id}/template', { params: { path: { id }, query: { command } }, body })),
    )
    said.value = t('survey.sheet.templateKept', { name: name.value })
    name.value = ''
    void queries.invalidateQueries({ queryKey: ['templates'] })
  } catch (cause) {
    said.value = Object.values(byField(cause))[0] ?? ''
  }
}
</script>

<template>
  <section>
    <h2>{{ t('survey.sheet.assembly') }}</h2>
    <div class="members">
      <TypedField
        :typed="typed"
        field="memberMaterial"
        :label="t('survey.field.memberMaterial')"
        :kept="surface.memberMaterial"
        :options="members"
        :disabled="locked"
      />
      <template v-if="surface.hasMembers">
        <TypedField
          :typed="typed"
          field="memberDepth"
          :label="t('survey.col.memberDepth')"
          :kept="reader.print(surface.memberDepth)"
          :disabled="locked"
        />
        <TypedField
          :typed="typed"
          field="memberSpacing"
          :label="t('survey.col.memberSpacing')"
          :kept="reader.print(surface.memberSpacing)"
          :disabled="locked"
        />
        <TypedField
          v-if="surface.memberShare"
          :typed="typed"
          field="memberShare"
          :label="t('survey.field.memberShare')"
          :kept="reader.print(surface.memberShare)"
          :disabled="locked"
        />
      </template>
      <TypedField
        :typed="typed"
        field="ventChannel"
        :label="t('survey.field.ventChannel')"
        :kept="reader.print(surface.ventChannel)"
        :hint="t('survey.leakHint')"
        :disabled="locked"
      />
      <TypedField
        :typed="typed"
        field="profileFactor"
        :label="t('survey.field.profileFactor')"
        :kept="reader.print(surface.profileFactor)"
        :disabled="locked"
      />
    </div>
    <div class="layers">
      <LayersEditor :typed="typed" field="outboard" :layers="surface.outboard" :locked="locked" />
      <LayersEditor :typed="typed" field="inboard" :layers="surface.inboard" :locked="locked" />
    </div>
    <div v-if="!locked" class="own no-print">
      <TypedField
        v-if="own.length > 1"
        :typed="typed"
        field="template"
        :label="t('survey.sheet.template')"
        kept=""
        :options="own"
      />
      <form novalidate @submit.prevent="keep">
        <FormField v-model="name" :label="t('survey.sheet.keepAs')" maxlength="120" />
        <ElButton native-type="submit" :disabled="!name.trim()">{{ t('survey.sheet.keepTemplate') }}</ElButton>
      </form>
      <span class="small quiet" role="status">{{ said }}</span>
      <RouterLink v-if="own.length > 1" class="act" :to="{ name: 'templates' }">{{
        t('survey.sheet.allTemplates')
      }}</RouterLink>
    </div>
  </section>
</template>

<style scoped>
.layers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 16px 28px;
  margin-top: 14px;
}
.members {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 12px 16px;
}
.own {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: end;
  margin-top: 16px;
}
.own form {
  display: flex;
  gap: 10px;
  align-items: end;
}
</style>
