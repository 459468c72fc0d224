import { defineEvent } from '../../ground/act'
import { changed } from '../../ground/fold'
import type { RegisterPlan } from '../../register/registration'
import { edition } from '../stream'

interface Register {
  register: RegisterPlan
  formatId: string | null
}

/** How high pins stand was not asked before. */
function withPinHeights(data: Record<string, unknown>): Record<string, unknown> {
  const register = data.register as RegisterPlan
  return { ...data, register: { ...register, pins: register.pins.map((pin) => ({ ...pin, height: null })) } }
}

/** The registration sheet as it is from here on. */
export const registerDrawn = defineEvent(
  edition,
  'register-drawn',
  (state, data: Register) => changed(state, { register: data }),
  [withPinHeights, (data) => ({ ...data, register: { ...(data.register as RegisterPlan), more: [] } })],
)
