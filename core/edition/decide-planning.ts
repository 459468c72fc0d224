import { type Decision, refuse } from '../ledger/envelope'
import { type EditionPlan, goal } from '../plan/plan'
import { rateBounds } from '../plan/work'
import { editionEvent, only, type Rules } from './rule'
import type { EditionState } from './state'
import { anySigned, layerOf } from './state'

const mostLayers = 40

type Planning = 'start-edition' | 'change-plan' | 'add-layer' | 'change-layer' | 'set-zones' | 'set-press'

function planFault(title: string, plan: EditionPlan): Decision | null {
  if (title.trim() === '') return refuse('title-missing', 'Give the edition a title, as it will be pencilled.', 'title')
  if (!Number.isInteger(plan.size) || plan.size < 1 || plan.size > 2000) {
    return refuse('size-range', `An edition has 1 to 2000 prints; ${plan.size} was given.`, 'size')
  }
  for (const [series, count] of Object.entries(plan.proofs)) {
    if (!Number.isInteger(count) || count < 0 || count > 500)
      return refuse('proofs-range', `${series} takes 0 to 500 prints; ${count} was given.`, 'proofs')
  }
  if (plan.layersPlanned > mostLayers)
    return refuse(
      'too-many-layers',
      `An edition takes at most ${mostLayers} layers; ${plan.layersPlanned} were given.`,
      'layersPlanned',
    )
  if (plan.start !== null && plan.start < goal(plan)) {
    return refuse(
      'start-below-goal',
      `${goal(plan)} good prints are wanted; they cannot come from ${plan.start} sheets. Start more, or want fewer.`,
      'start',
    )
  }
  for (const [field, stated] of [
    ['expected', plan.expected],
    ['finishing', plan.finishing],
  ] as const) {
    if (stated && !(stated.rate >= rateBounds.least && stated.rate <= rateBounds.most)) {
      return refuse(
        'rate-range',
        `A pass rate lies between ${rateBounds.least * 100} and ${rateBounds.most * 100} %; ${stated.rate * 100} % was given. Nothing is ever certain at a press.`,
        field,
      )
    }
  }
  return null
}

function noSuchLayer(): Decision {
  return refuse(
    'unknown-layer',
    'That layer is not part of this edition. Reload the page and choose a layer from the list.',
    'layerId',
  )
}

/** A plan may change until the first number is signed; from then on its size only by amendment. */
function sizeIsFixed(state: EditionState, plan: EditionPlan): boolean {
  const old = state.plan!
  return anySigned(state) && (old.size !== plan.size || JSON.stringify(old.proofs) !== JSON.stringify(plan.proofs))
}

export const planningRules: Rules<Planning> = {
  'start-edition': ({ edition }, data, context) => {
    const fault = planFault(data.title, data.plan)
    if (fault) return fault
    return {
      events: [
        editionEvent(edition, 'edition-started', { title: data.title.trim(), plan: data.plan }),
        ...Array.from({ length: data.plan.layering === 'ahead' ? data.plan.layersPlanned : 1 }, (_, i) =>
          editionEvent(edition, 'layer-added', {
            layerId: `${context.commandId}-${i + 1}`,
            name: `Layer ${i + 1}`,
            blocks: [],
            zones: [{ id: 'whole', name: 'whole block', batchId: null, batchName: '' }],
          }),
        ),
      ],
    }
  },

  'change-plan': ({ edition }, data) => {
    const fault = planFault(data.title, data.plan)
    if (fault) return fault
    if (sizeIsFixed(edition, data.plan)) {
      return refuse(
        'size-fixed',
        'A print is signed, so the size is fixed. Change it by an amendment, with a reason, under Sign.',
        'size',
      )
    }
    const schoolChanged = edition.plan!.sizeSchool !== data.plan.sizeSchool
    if (schoolChanged && edition.made > 0 && data.reason.trim() === '') {
      return refuse(
        'reason-missing',
        'Sheets are torn already: say why the way of counting the edition changes.',
        'reason',
      )
    }
    for (const series of Object.keys(edition.seriesSize)) {
      const wanted = series === 'edition' ? data.plan.size : data.plan.proofs[series as 'AP']
      const highest = Math.max(0, ...edition.sheets.filter((s) => s.mark?.series === series).map((s) => s.mark!.number))
      if (wanted < highest)
        return refuse(
          'size-below-numbers',
          `Number ${highest} of ${series} is given already. Take the numbers back first, or keep at least ${highest}.`,
          'size',
        )
    }
    return only(edition, 'plan-changed', { title: data.title.trim(), plan: data.plan, reason: data.reason })
  },

  'add-layer': ({ edition }, data, context) => {
    if (edition.layers.length >= mostLayers)
      return refuse('too-many-layers', `An edition takes at most ${mostLayers} layers.`)
    if (edition.sheets.some((sheet) => sheet.mark))
      return refuse('numbered', 'Prints are numbered. Take the numbers back before you add a layer.')
    const name = data.name.trim() || `Layer ${edition.layers.length + 1}`
    return only(edition, 'layer-added', {
      layerId: context.commandId,
      name,
      blocks: data.blocks,
      zones: [{ id: 'whole', name: 'whole block', batchId: null, batchName: '' }],
    })
  },

  'change-layer': ({ edition }, data) => {
    const layer = layerOf(edition, data.layerId)
    if (!layer) return noSuchLayer()
    return only(edition, 'layer-changed', { ...data, name: data.name.trim() || layer.name })
  },

  'set-zones': ({ edition, batches }, data) => {
    if (!layerOf(edition, data.layerId)) return noSuchLayer()
    if (data.zones.length === 0) return refuse('no-zone', 'A layer has at least one inked zone.', 'zones')
    const zones = []
    for (const zone of data.zones) {
      const batch = zone.batchId === null ? undefined : batches?.get(zone.batchId)
      if (zone.batchId !== null && (!batch || batch.name === ''))
        return refuse('unknown-batch', 'That ink batch is not here. Mix it first, or choose another.', 'zones')
      zones.push({ ...zone, batchName: batch?.name ?? '' })
    }
    return only(edition, 'zones-set', { layerId: data.layerId, zones })
  },

  'set-press': ({ edition, press }, data) => {
    if (!layerOf(edition, data.layerId)) return noSuchLayer()
    if (!press || press.name === '')
      return refuse('unknown-press', 'That press is not here. Add it first, or choose another.', 'pressId')
    const { layerId, pressId, ...setting } = data
    return only(edition, 'press-set', { layerId, setup: { pressId, pressName: press.name, ...setting } })
  },
}
