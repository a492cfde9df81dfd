import { onScopeDispose, watch, type WatchSource } from 'vue'

/** Keeps the screen on while something is so, where the device can; it is asked again when the page comes back in front. */
export function useWakeLock(isWanted: WatchSource<boolean>) {
  let held: WakeLockSentinel | undefined
  let wanted = false

  async function hold() {
    try {
      held = wanted && document.visibilityState === 'visible' ? await navigator.wakeLock?.request('screen') : held
      if (!wanted) await release()
    } catch {
      // A device that saves its battery says no; the screen goes dark as usual.
    }
  }
  const release = async () => {
    const was = held
    held = undefined
    await was?.release().catch(() => undefined)
  }
  watch(isWanted, (is) => void ((wanted = is), is ? hold() : release()), { immediate: true })
  document.addEventListener('visibilitychange', hold)
  onScopeDispose(() => {
    wanted = false
    document.removeEventListener('visibilitychange', hold)
    void release()
  })
}
