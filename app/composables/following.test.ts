import { describe, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { useFollowing } from './following'

describe('a form that follows how something stands', () => {
  const standing = () => ref({ id: 'one', name: 'rust', routine: 'charge, pass', zones: ['sky'] })

  it('shows what others change, and keeps what was typed', async () => {
    const state = standing()
    const form = useFollowing(() => ({ name: state.value.name, routine: state.value.routine }))
    form.value.name = 'dark rust'
    state.value = { ...state.value, name: 'ochre', routine: 'charge twice' }
    await nextTick()
    expect(form.value).toEqual({ name: 'dark rust', routine: 'charge twice' })
    // Typed over again by hand to what stands, it follows once more.
    form.value.name = 'ochre'
    state.value = { ...state.value, name: 'umber' }
    await nextTick()
    expect(form.value.name).toBe('umber')
  })

  it('does not change what it shows by what is typed', async () => {
    const state = standing()
    const form = useFollowing(() => ({ zones: state.value.zones }))
    form.value.zones.push('sea')
    expect(state.value.zones).toEqual(['sky'])
    state.value = { ...state.value, name: 'ochre' }
    await nextTick()
    expect(form.value.zones).toEqual(['sky', 'sea'])
  })

  it('begins anew when it is the form of something else', async () => {
    const state = standing()
    const form = useFollowing(
      () => ({ name: state.value.name }),
      () => state.value.id,
    )
    form.value.name = 'half typed'
    state.value = { ...state.value, id: 'two', name: 'slate' }
    await nextTick()
    expect(form.value).toEqual({ name: 'slate' })
  })

  it('follows within a part that was typed in, field by field, and lets go of what is no more', async () => {
    const state = ref({ plan: { size: 12, proofs: 3 }, shares: { sky: '', sea: '' } as Record<string, string> })
    const form = useFollowing(() => state.value)
    form.value.plan.size = 15
    form.value.shares.sea = '40'
    form.value.shares.sky = '60'
    state.value = { plan: { size: 12, proofs: 2 }, shares: { sea: '', quay: '10' } }
    await nextTick()
    expect(form.value).toEqual({ plan: { size: 15, proofs: 2 }, shares: { sea: '40', quay: '10' } })
  })
})
