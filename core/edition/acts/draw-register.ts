import { Id, OrNull, Part } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse, refuseFault } from '../../ground/refusal'
import { registerFault, RegisterPlan } from '../../register/registration'
import { studio } from '../../stores/studio/stream'
import { registerDrawn } from '../events/register-drawn'
import { edition } from '../stream'
import { theirs } from '../who'

class Register {
  static readonly sample: Register = { register: RegisterPlan.sample, formatId: null }

  @Part(() => RegisterPlan) register!: RegisterPlan
  @OrNull() @Id('format') formatId!: string | null
}

/** The registration sheet is drawn. */
export const drawRegister = defineAct(edition, 'draw-register', Register, theirs, {
  needs: () => ({ studio: studio.of() }),
  events: [registerDrawn],
  rule: ({ edition, studio }, data) => {
    if (data.formatId !== null && !studio.seriesFormats.some((format) => format.id === data.formatId))
      return refuse(
        'unknown-format',
        'That series format is not kept here any more. Choose another, or none.',
        'formatId',
      )
    const fault = registerFault(data.register)
    return fault ? refuseFault('register-unfit', fault) : [registerDrawn.on(edition, data)]
  },
})
