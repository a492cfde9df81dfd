<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { init, use, type EChartsCoreOption, type EChartsType } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'

/** A chart with its name; the table behind it is the caller's. */
const props = defineProps<{ option: EChartsCoreOption; label: string; height?: number }>()
use([LineChart, ScatterChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer])

const box = ref<HTMLElement>()
const chart = shallowRef<EChartsType>()
const { width } = useElementSize(box)

onMounted(() => {
  chart.value = init(box.value!, null, { renderer: 'svg' })
  chart.value.setOption({ animation: false, ...props.option })
})
watch(
  () => props.option,
  (option) => chart.value?.setOption({ animation: false, ...option }, { notMerge: true }),
)
watch(width, () => chart.value?.resize())
onBeforeUnmount(() => chart.value?.dispose())
</script>

<template>
  <div ref="box" class="box" role="img" :aria-label="label" :style="{ height: `${height ?? 260}px` }" />
</template>

<style scoped>
/* What is drawn follows the width and never holds it open: a tablet is turned. */
.box {
  contain: inline-size;
}
</style>
