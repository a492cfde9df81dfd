<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useFindingText } from '@/shared/figures/findings'
import { useTyped } from '@/shared/state/typed'
import TypedField from '@/shared/ui/TypedField.vue'
import VerdictMark from '@/shared/ui/VerdictMark.vue'
import JointDrawing from './JointDrawing.vue'

/** One joint: what becomes of each control layer, and who sees to it. */
const props = defineProps<{ job: string; joint: Schemas['JointAnswer']; locked: boolean }>()
const { t } = useI18n()
const text = useFindingText()

const layers = ['water', 'air', 'vapour', 'heat'] as const
const choices = computed(() =>
  (['open', 'carried', 'notNeeded'] as const).map((value) => ({ value, text: t(`handover.${value}`) })),
)

const typed = useTyped(() => ({ kind: 'joint', id: props.joint.id, within: props.job }))
defineEmits<{ off: [] }>()
</script>

<template>
  <article>
    <header>
      <JointDrawing :kind="joint.kind" :layers="joint" :width="92" />
      <div>
        <h3>{{ t(`joint.${joint.kind}`) }}</h3>
        <p>{{ joint.first }} · {{ joint.second || t('survey.joints.otherLayer') }}</p>
        <p class="judged">
          <VerdictMark :verdict="joint.finding.verdict" :size="18" />
          <span>{{ text.title(joint.finding) }}</span>
        </p>
      </div>
      <ElButton
        v-if="!locked"
        link
        type="primary"
        :aria-label="t('survey.joints.remove', { first: joint.first, second: joint.second })"
        @click="$emit('off')"
      >
        ×
      </ElButton>
    </header>
    <div class="layers">
      <TypedField
        v-for="layer in layers"
        :key="layer"
        :typed="typed"
        :field="layer"
        :label="t(`layer.${layer}`)"
        :kept="joint[layer]"
        :options="choices"
        :disabled="locked"
      />
    </div>
    <div class="who">
      <TypedField :typed="typed" field="how" :label="t('survey.joints.how')" :kept="joint.how" :disabled="locked" />
      <TypedField
        :typed="typed"
        field="doneBy"
        :label="t('survey.joints.by')"
        :kept="joint.doneBy"
        :disabled="locked"
      />
    </div>
    <fieldset :disabled="locked">
      <ElCheckbox
        :model-value="joint.ready"
        :disabled="!joint.solved"
        @change="typed.put({ ready: joint.ready ? 'no' : 'yes' })"
      >
        {{ t('survey.joints.ready') }}
      </ElCheckbox>
      <ElCheckbox
        :model-value="joint.seenBy !== ''"
        :disabled="!joint.ready"
        @change="typed.put({ seen: joint.seenBy ? 'no' : 'yes' })"
      >
        {{ joint.seenBy ? t('survey.joints.seenBy', { who: joint.seenBy }) : t('survey.joints.seen') }}
      </ElCheckbox>
      <span v-if="!joint.solved" class="small quiet">{{ t('survey.joints.notYet') }}</span>
    </fieldset>
    <p v-if="typed.notice.value || typed.faults.value.ready" class="fault" role="alert">
      {{ typed.notice.value || typed.faults.value.ready }}
    </p>
  </article>
</template>

<style scoped>
article {
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 6px;
  padding: 14px 16px;
  display: grid;
  gap: 12px;
}
header {
  display: grid;
  grid-template-columns: 96px 1fr auto;
  gap: 12px;
  align-items: start;
}
.judged {
  display: flex;
  gap: 8px;
  align-items: center;
  color: var(--ink-2);
}
.layers {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
}
.who {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 10px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
}
@media (max-width: 560px) {
  .layers,
  .who {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
