import { onMounted, onUnmounted, ref, watch } from 'vue'

/** What a switch may do. */
export type SwitchAct = 'good' | 'doubtful' | 'reject' | 'warm-up' | 'take back'
export const switchActs: readonly SwitchAct[] = ['good', 'doubtful', 'reject', 'warm-up', 'take back']

export type Side = 'left' | 'right'

/** One switch of a foot pedal: the key it sends, by its place on a keyboard, and what it does. */
export interface Switch {
  code: string
  does: SwitchAct
}

/** Codes that no key sends: until a switch is learnt, only its stand-in on the screen treads on it. */
const unlearnt: Record<Side, Switch> = {
  left: { code: 'LeftStandIn', does: 'reject' },
  right: { code: 'RightStandIn', does: 'good' },
}
export const isLearnt = ({ code }: Switch) => !code.endsWith('StandIn')

/** A foot that rests on a switch, or a contact that bounces, is one tread. ms */
const bounce = 180
const place = 'bench pedal'

function stored(): Record<Side, Switch> {
  try {
    const kept = JSON.parse(localStorage.getItem(place) ?? 'null') as Partial<Record<Side, Partial<Switch>>> | null
    const one = (side: Side): Switch => {
      const { code, does } = kept?.[side] ?? {}
      return {
        code: typeof code === 'string' && code !== '' ? code : unlearnt[side].code,
        does: switchActs.find((act) => act === does) ?? unlearnt[side].does,
      }
    }
    return { left: one('left'), right: one('right') }
  } catch {
    return structuredClone(unlearnt)
  }
}

/** A foot pedal with two switches, known by the keys it sends: learnt by treading on it, kept on this device. */
export function usePedal(tread: (does: SwitchAct) => void, isShut: () => boolean) {
  const switches = ref(stored())
  watch(switches, (now) => localStorage.setItem(place, JSON.stringify(now)), { deep: true })
  /** The switch that is being learnt: the next key is its own. */
  const learning = ref<Side | null>(null)
  const why = ref('')
  let lastAt = 0

  function learn(side: Side): void {
    learning.value = side
    why.value = ''
  }

  function learnt(side: Side, code: string): void {
    learning.value = null
    const other: Side = side === 'left' ? 'right' : 'left'
    if (switches.value[other].code === code) {
      why.value = `The ${other} switch sends that key already. Tread on the ${side} one.`
      return
    }
    switches.value[side].code = code
  }

  /** Before the bench's own keys: a switch is never also a letter. */
  function onKey(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || isShut()) return
    if (learning.value) {
      event.preventDefault()
      event.stopImmediatePropagation()
      if (event.key === 'Escape') learning.value = null
      else if (!event.repeat && event.code !== '') learnt(learning.value, event.code)
      return
    }
    const trodden = Object.values(switches.value).find(({ code }) => code === event.code)
    if (!trodden || isTyping(event.target)) return
    event.preventDefault()
    event.stopImmediatePropagation()
    if (event.repeat || event.timeStamp - lastAt < bounce) return
    lastAt = event.timeStamp
    tread(trodden.does)
  }
  onMounted(() => window.addEventListener('keydown', onKey, { capture: true }))
  onUnmounted(() => window.removeEventListener('keydown', onKey, { capture: true }))

  /** The stand-in on the screen: it sends the key that the switch would send. */
  function press(side: Side): void {
    const { code } = switches.value[side]
    window.dispatchEvent(new KeyboardEvent('keydown', { code, key: code, bubbles: true, cancelable: true }))
  }

  return { switches, learning, why, learn, press }
}

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && ['INPUT', 'SELECT', 'TEXTAREA'].includes(target.tagName)
