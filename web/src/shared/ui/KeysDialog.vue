<script setup lang="ts">
import { useI18n } from 'vue-i18n'

const shown = defineModel<boolean>({ required: true })
const { t } = useI18n()
const keys = [
  ['1 … 9', 'stages'],
  ['j  k', 'surfaces'],
  ['b', 'board'],
  ['[  ]', 'thickness'],
  ['u', 'units'],
  ['w', 'workings'],
  ['/', 'search'],
  ['h', 'aid'],
  ['?', 'help'],
] as const
</script>

<template>
  <ElDialog v-model="shown" :title="t('keys.title')" width="min(460px, 94vw)" append-to-body>
    <dl>
      <template v-for="[key, what] in keys" :key="what">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ t(`keys.list.${what}`) }}</dd>
      </template>
    </dl>
  </ElDialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 90px 1fr;
  gap: 10px;
  margin: 0;
  color: var(--ink);
}
dd {
  margin: 0;
}
kbd {
  font: 650 var(--text) var(--body);
}
</style>
