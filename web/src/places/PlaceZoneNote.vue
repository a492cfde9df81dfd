<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { useChoices } from '@/shared/state/job'
import { useSession } from '@/shared/state/session'
import { useTyped } from '@/shared/state/typed'
import ZonePick from './ZonePick.vue'

/** Asks once for the time zone of a place of the firm's own that was kept before zones were asked for. */
const props = defineProps<{ placeId: string | null }>()
const { t } = useI18n()
const session = useSession()
const choices = useChoices()
const typed = useTyped(() => ({ kind: 'place', id: props.placeId ?? '' }))
const zone = ref('')

const place = computed(() => choices.data.value?.places.find((one) => one.id === props.placeId && one.own))
const asks = computed(() => session.may('edit') && place.value && !place.value.timeZone)
</script>

<template>
  <form v-if="asks" class="zone" @submit.prevent="zone && typed.put({ timeZone: zone })">
    <label for="asked-zone">{{ t('places.askZone', { name: place!.name }) }}</label>
    <ZonePick id="asked-zone" v-model="zone" />
    <ElButton native-type="submit" :disabled="!zone || typed.busy.value">{{ t('places.saveZone') }}</ElButton>
    <em class="fault">{{ typed.faults.value.timeZone || typed.notice.value }}</em>
  </form>
</template>

<style scoped>
.zone {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  background: var(--sheet);
  border-left: 5px solid var(--care);
  padding: 10px 16px;
  margin-bottom: 12px;
}
.zone .el-select {
  width: 260px;
}
</style>
