import { useI18n } from 'vue-i18n'
import type { Schemas } from '../api/client'

type Step = Pick<Schemas['StepDocument'], 'id' | 'what' | 'why' | 'wrong'>

/** What is said of a step: in the firm's own words, else in those of the step that ships. */
export function useStepWords() {
  const { t, te } = useI18n()
  const word = (step: Step, part: 'what' | 'why' | 'wrong') =>
    step[part] || (te(`sequence.step.${step.id}.${part}`) ? t(`sequence.step.${step.id}.${part}`) : '')
  return {
    what: (step: Step) => word(step, 'what'),
    why: (step: Step) => word(step, 'why'),
    wrong: (step: Step) => word(step, 'wrong'),
  }
}
