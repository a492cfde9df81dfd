<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useTyped } from '@/shared/state/typed'
import LayersEditor from '@/shared/ui/LayersEditor.vue'
import TypedField from '@/shared/ui/TypedField.vue'

/** Name, members and layers of a template: each field is saved as it is left. */
const props = defineProps<{ template: Schemas['TemplateAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const typed = useTyped({ kind: 'template', id: props.template.id })
const members = computed(() =>
  ['none', 'wood', 'steelStud', 'girt'].map((value) => ({ value, text: t(`member.${value}`) })),
)
</script>

<template>
  <div class="template-fields">
    <p class="fault" role="alert">{{ typed.notice.value }}</p>
    <div class="fields">
      <TypedField :typed="typed" field="name" :label="t('templates.name')" :kept="template.name" />
      <TypedField
        :typed="typed"
        field="memberMaterial"
        :label="t('survey.field.memberMaterial')"
        :kept="template.memberMaterial"
        :options="members"
      />
      <template v-if="template.memberDepth">
        <TypedField
          :typed="typed"
          field="memberDepth"
          :label="t('survey.col.memberDepth')"
          :kept="reader.print(template.memberDepth)"
        />
        <TypedField
          :typed="typed"
          field="memberSpacing"
          :label="t('survey.col.memberSpacing')"
          :kept="reader.print(template.memberSpacing)"
        />
      </template>
      <TypedField
        :typed="typed"
        field="ventChannel"
        :label="t('survey.field.ventChannel')"
        :kept="reader.print(template.ventChannel)"
      />
    </div>
    <div class="layers">
      <LayersEditor :typed="typed" field="outboard" :layers="template.outboard" :locked="false" />
      <LayersEditor :typed="typed" field="inboard" :layers="template.inboard" :locked="false" />
    </div>
  </div>
</template>

<style scoped>
.template-fields {
  margin: 8px 0 4px;
}
.fault:empty {
  display: none;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 10px 18px;
  align-items: start;
}
.layers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 16px 28px;
  margin-top: 14px;
}
</style>
