<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import { useTyped } from '@/shared/state/typed'
import FigureText from '@/shared/ui/FigureText.vue'
import TypedField from '@/shared/ui/TypedField.vue'

/** One buffer space: what decides its temperature, and where it floats now and as planned. */
const props = defineProps<{ job: string; space: Schemas['BufferAnswer']; locked: boolean }>()
const { t } = useI18n()
const reader = useReader()

const typed = useTyped(() => ({ kind: 'buffer', id: props.space.id, within: props.job }))
defineEmits<{ off: [] }>()
const fields = ['volume', 'airChanges', 'airChangesPlanned', 'otherLoss', 'ductLoss'] as const
const floats = computed(() =>
  (['winterNow', 'winterPlanned', 'summerNow', 'summerPlanned'] as const).map((name) => ({
    name,
    worked: props.space[name],
  })),
)
</script>

<template>
  <article>
    <header>
      <h3>
        {{ space.name }} <small class="quiet">{{ t(`buffer.${space.kind}`) }}</small>
      </h3>
      <ElButton
        v-if="!locked"
        link
        type="primary"
        :aria-label="t('survey.building.remove', { name: space.name })"
        @click="$emit('off')"
      >
        ×
      </ElButton>
    </header>
    <div class="typed">
      <TypedField
        v-for="field in fields"
        :key="field"
        :typed="typed"
        :field="field"
        :label="t(`survey.building.field.${field}`)"
        :kept="reader.print(space[field])"
        :disabled="locked"
      />
    </div>
    <dl>
      <div v-for="one in floats" :key="one.name">
        <dt>{{ t(`survey.building.${one.name}`) }}</dt>
        <dd>
          <FigureText v-if="one.worked" :figure="one.worked.figure" :working="one.worked.working" />
          <template v-else>–</template>
        </dd>
      </div>
    </dl>
  </article>
</template>

<style scoped>
article {
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--sheet);
  padding: 12px 16px;
  margin-top: 12px;
}
header {
  display: flex;
  justify-content: space-between;
}
.typed {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 34px;
  margin: 12px 0 0;
}
dt {
  font-size: var(--text-s);
  color: var(--ink-2);
}
dd {
  margin: 0;
  font: 650 1.15rem var(--head);
}
</style>
