import { onBeforeUnmount, ref, watchEffect } from 'vue'
import type { FirmPage } from './pages'
import type { StageKey } from './stages'

/** What there is help for: the jobs, the board, the pocket, each stage, and what is the firm's own. */
export type HelpTopic = 'jobs' | 'board' | 'pocket' | FirmPage | StageKey

const topic = ref<HelpTopic | null>(null)
const shown = ref(false)

/** What the page on the screen can be helped with, and whether its help is open. */
export const useHelp = () => ({ topic, shown })

/** Says what a page is about for as long as it is on the screen. */
export function useHelpOn(about: () => HelpTopic) {
  watchEffect(() => (topic.value = about()))
  onBeforeUnmount(() => {
    topic.value = null
    shown.value = false
  })
}
