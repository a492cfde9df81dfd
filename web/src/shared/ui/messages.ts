import { ElMessage } from 'element-plus/es/components/message/index.mjs'
import 'element-plus/es/components/message/style/css'

/** A short word at the top of the page, gone after a moment. */
export const say = (message: string, type: 'info' | 'warning' = 'info') => ElMessage({ message, type, grouping: true })
