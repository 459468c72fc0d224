import { ref, watch } from 'vue'

/** What a station may give back beside the stroke: a sound, or a flash of the line under the tally. Off unless switched on. */
export type Signal = 'good' | 'doubtful' | 'reject' | 'nothing'

/** Hz and ms of each sound: the better the pull, the higher; what does nothing is low and short. */
const sounds: Record<Signal, [number, number]> = {
  good: [880, 70],
  doubtful: [587, 110],
  reject: [294, 160],
  nothing: [147, 60],
}

const kept = (name: string) => {
  const on = ref(localStorage.getItem(name) === 'on')
  watch(on, (now) => localStorage.setItem(name, now ? 'on' : 'off'))
  return on
}

export function useFeedback() {
  const sound = kept('bench sound')
  const flash = kept('bench flash')
  /** What is flashing now. */
  const flashing = ref<Signal | null>(null)
  let player: AudioContext | null = null
  let ends: ReturnType<typeof setTimeout> | undefined

  function play(signal: Signal): void {
    player ??= new AudioContext()
    const [pitch, ms] = sounds[signal]
    const tone = player.createOscillator()
    const volume = player.createGain()
    const end = player.currentTime + ms / 1000
    tone.frequency.value = pitch
    volume.gain.setValueAtTime(0.2, player.currentTime)
    volume.gain.exponentialRampToValueAtTime(0.001, end)
    tone.connect(volume).connect(player.destination)
    tone.start()
    tone.stop(end)
  }

  function give(signal: Signal): void {
    if (sound.value) play(signal)
    if (!flash.value) return
    clearTimeout(ends)
    flashing.value = signal
    ends = setTimeout(() => {
      flashing.value = null
    }, 250)
  }

  return { sound, flash, flashing, give }
}
