import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { type LengthUnit, showLength, showSize, showThickness } from '#core/units/length'
import { useSession } from './session'

const kept = 'shown unit'

/** The unit lengths are shown in: the studio's, or the other one while this browser asked for it. */
export const useUnits = defineStore('units', () => {
  const session = useSession()
  const chosen = ref<LengthUnit | null>(localStorage.getItem(kept) as LengthUnit | null)
  const unit = computed<LengthUnit>(() => chosen.value ?? session.session?.studio.unit ?? 'mm')
  const other = computed<LengthUnit>(() => (unit.value === 'mm' ? 'in' : 'mm'))

  function toggle(): void {
    chosen.value = other.value
    localStorage.setItem(kept, chosen.value)
  }

  return {
    unit,
    other,
    toggle,
    length: (mm: number) => showLength(mm, unit.value),
    size: (width: number, height: number) => showSize(width, height, unit.value),
    thickness: (mm: number) => showThickness(mm, unit.value),
  }
})
