<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Schemas } from '@/shared/api/client'
import { useReader } from '@/shared/state/reader'
import FindingLine from '@/shared/ui/FindingLine.vue'

/** How a product lasts at the job: yield so far, sets to go and at hand, and what to look at where it is not on course. */
const props = defineProps<{ course: Schemas['CourseAnswer'] }>()
const { t } = useI18n()
const reader = useReader()
const MINUTE_S = 60
const letter = (side: string) => side.toUpperCase()
const scarcer = computed(() => letter(props.course.yield.scarcer))

const causes = computed(() =>
  props.course.causes.map(({ kind, isLess, share, planned, found }) => {
    const isUnread = kind === 'wind' && !found
    return {
      kind,
      what: t(`spray.material.cause.${kind}${isUnread ? 'Unread' : ''}`, {
        found: reader.print(found),
        planned: reader.print(planned),
      }),
      makes: share ? t(`spray.material.${isLess ? 'less' : 'more'}`, { share: reader.print(share) }) : '',
      look: t(`spray.material.look.${kind}`),
    }
  }),
)
</script>

<template>
  <section class="material" :aria-label="t('spray.material.title')">
    <h2>
      {{ t('spray.material.title') }} <span class="small quiet">{{ course.sheet }}</span>
    </h2>
    <FindingLine v-for="one in course.yield.findings" :key="one.rule" :finding="one" :size="18" detail />
    <p>
      {{
        t('spray.material.used', {
          used: reader.print(course.used),
          left: reader.print(course.yield.setsLeft),
          planned: reader.print(course.setsPlanned),
        })
      }}
    </p>
    <ul class="hands">
      <li v-for="side in course.sides" :key="side.side">
        {{
          t(side.isOfTruck ? 'spray.material.truck' : 'spray.material.store', {
            side: letter(side.side),
            hand: reader.print(side.onHand),
          })
        }}
      </li>
    </ul>
    <p v-if="course.lastsFor && course.lastsFor.amount >= MINUTE_S && course.left.amount > 0">
      {{ t('spray.material.lasts', { side: scarcer, time: reader.print(course.lastsFor) }) }}
    </p>
    <template v-if="causes.length">
      <h3>{{ t('spray.material.causes') }}</h3>
      <ol>
        <li v-for="cause in causes" :key="cause.kind">
          <b>{{ cause.what }}</b>
          <span v-if="cause.makes" class="makes">{{ cause.makes }}</span>
          <span class="look">{{ cause.look }}</span>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.material {
  margin-bottom: 14px;
}
h2 {
  margin: 0 0 6px;
  font-size: 1.15rem;
}
h3 {
  margin: 10px 0 4px;
  font-size: 1rem;
}
p {
  margin: 4px 0;
}
.hands {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}
ol {
  padding-left: 1.3em;
  margin: 0;
}
ol li {
  margin-bottom: 6px;
}
.makes {
  margin-left: 8px;
  font-variant-numeric: tabular-nums;
}
.look {
  display: block;
}
</style>
