import { useLocalStorage } from '@vueuse/core'

const TAP_MS = 40
const DUE_MS = [400, 200, 400]
const TONE_HZ = 880
const TONE_S = 0.6
const LOUD = 0.5

/** What can be felt and heard with a hood on: a tap that was taken, and the next lift that is due. Each is switched on on the device. */
export function useSignals() {
  const vibrates = useLocalStorage('signals.vibrates', false)
  const sounds = useLocalStorage('signals.sounds', false)
  return {
    vibrates,
    sounds,
    tapped: () => vibrates.value && feel(TAP_MS),
    due: () => {
      if (vibrates.value) feel(DUE_MS)
      if (sounds.value) sound()
    },
  }
}

// Tablets without a motor have no such function.
const feel = (pattern: number | number[]) => void navigator.vibrate?.(pattern)

function sound() {
  const context = new AudioContext()
  const [tone, volume] = [new OscillatorNode(context, { frequency: TONE_HZ }), new GainNode(context, { gain: LOUD })]
  tone.connect(volume).connect(context.destination)
  tone.onended = () => void context.close()
  tone.start()
  tone.stop(context.currentTime + TONE_S)
}
