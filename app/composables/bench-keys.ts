import { onMounted, onUnmounted, type Ref } from 'vue'
import { grades } from '#core/press/dial-in'
import { adjustmentKinds } from '#core/print/verdicts'
import { printFields } from '#core/print/fields'
import type { useBenchActs } from './bench-acts'
import { isAsking } from './doors'

/** The keys of a station: a letter an act, figures for what a panel offers. */
export function useBenchKeys(acts: ReturnType<typeof useBenchActs>, likely: Ref<string[]>, changePerson: () => void) {
  const keys: Record<string, () => unknown> = {
    ' ': () => acts.verdict('good'),
    g: () => acts.verdict('good'),
    d: () => acts.verdict('doubtful'),
    r: () => acts.verdict('reject'),
    p: () => acts.other('proof'),
    w: () => acts.other('warm-up'),
    u: acts.takeBack,
    z: acts.bringBack,
    a: () => acts.toggle('adjust'),
    h: acts.call,
    m: () => acts.toggle('more'),
    s: () => acts.toggle('sheet'),
    b: acts.approve,
    e: () => acts.rescue('re-inked'),
    n: () => acts.rescue('burnished'),
    c: changePerson,
    Escape: acts.rest,
  }

  function figure(digit: number): unknown {
    const fault = likely.value[digit - 1]
    const adjustment = adjustmentKinds[digit - 1]
    if (acts.panel.value === 'faults' && fault) return acts.nameFault(fault)
    const field = printFields[digit - 1]
    if (acts.panel.value === 'where' && field) return acts.placeFault(field.across, field.down)
    if (acts.panel.value === 'adjust' && adjustment) return acts.adjust(adjustment)
    const grade = grades[digit - 1]
    if (acts.panel.value === 'none' && grade !== undefined) return acts.grade(grade)
    return acts.nothing('1 to 5 hold the ink of the last pull against the standard; others name what is asked for.')
  }

  function onKey(event: KeyboardEvent): void {
    if (isAsking() || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
    const target = event.target as HTMLElement
    if (['INPUT', 'SELECT', 'TEXTAREA'].includes(target.tagName)) return
    // Space on a focused button other than the Good bar is that button's own.
    if ((event.key === ' ' || event.key === 'Enter') && target.tagName === 'BUTTON') return
    const digit = Number(event.key)
    if (digit >= 1 && digit <= 9) return void figure(digit)
    const act = keys[event.key] ?? keys[event.key.toLowerCase()]
    if (!act) return
    event.preventDefault()
    act()
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onUnmounted(() => window.removeEventListener('keydown', onKey))
}
