import { ref } from 'vue'
import { download } from '../api/client'
import { saveFile } from '../api/saveFile'
import { useProblems } from '../figures/problems'

/** Files that are made when a button is pressed: one at a time, and a sentence where one fails. */
export function useSaving() {
  const { general } = useProblems()
  const fault = ref('')
  const busy = ref(false)

  /** Makes and saves a file; the page stays whatever comes of it. */
  async function save(make: () => Promise<void>) {
    if (busy.value) return
    busy.value = true
    fault.value = ''
    try {
      await make()
    } catch (cause) {
      fault.value = general(cause)
    } finally {
      busy.value = false
    }
  }

  /** Saves a file that lies ready at an address of the server. */
  const saveFrom = (path: string) =>
    save(async () => {
      const { file, name } = await download(path)
      saveFile(file, name)
    })

  return { fault, busy, save, saveFrom }
}
