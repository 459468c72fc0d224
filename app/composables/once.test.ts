import { nextTick, ref } from 'vue'
import { expect, it } from 'vitest'
import { useOnce } from './once'

it('is true from the first time on, and stays', async () => {
  const open = ref(false)
  const hasBeen = useOnce(() => open.value)
  expect(hasBeen.value).toBe(false)
  open.value = true
  await nextTick()
  expect(hasBeen.value).toBe(true)
  open.value = false
  await nextTick()
  expect(hasBeen.value).toBe(true)
})

it('is true at once of what is so already', () => {
  expect(useOnce(() => true).value).toBe(true)
})
