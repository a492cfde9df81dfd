import { onKeyStroke } from '@vueuse/core'
import { useI18n } from 'vue-i18n'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { useProblems } from '../figures/problems'
import { stepsOf } from '../keeping/steps'

// Asked for when it is first needed: no page waits for it.
const say = async (text: string, type?: 'warning') => (await import('../ui/messages')).say(text, type)

/** What was kept on a job, taken back step by step on whichever page one is by then. */
export function useUndo(job: MaybeRefOrGetter<string>) {
  const { t } = useI18n()
  const { general } = useProblems()
  const steps = () => stepsOf(toValue(job))

  async function tell(act: () => Promise<boolean>, done: string) {
    try {
      if (await act()) await say(done)
    } catch (cause) {
      await say(general(cause), 'warning')
    }
  }

  return {
    canUndo: computed(() => steps().canUndo.value),
    undo: () => tell(() => steps().undo(), t('app.undid')),
    redo: () => tell(() => steps().redo(), t('app.redid')),
  }
}

/** Ctrl+Z and its like, on any page of a job or of the firm. */
export function useUndoKeys(job: MaybeRefOrGetter<string>) {
  const steps = useUndo(job)
  onKeyStroke(['z', 'Z', 'y'], (event) => {
    if (!(event.ctrlKey || event.metaKey)) return
    // A field with something typed in it undoes its own typing first.
    const field = event.target instanceof HTMLElement && event.target.closest<HTMLElement>('input, textarea')
    if (field && field.dataset.draft !== 'no') return
    event.preventDefault()
    // With the capitals locked the key alone says nothing of Shift.
    void (event.key !== 'y' && !event.shiftKey ? steps.undo() : steps.redo())
  })
}
