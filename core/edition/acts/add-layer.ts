import { ArrayMaxSize, IsArray, IsString, MaxLength } from 'class-validator'
import { Words } from '../../ground/shape'
import { defineAct } from '../../ground/act'
import { refuse } from '../../ground/refusal'
import { planGate } from '../gates'
import { layerAdded } from '../events/layer-added'
import { wholeBlock } from '../layer'
import { mostLayers } from '../plan-fault'
import { edition } from '../stream'
import { theirs } from '../who'

class NewLayer {
  static readonly sample: NewLayer = { name: 'slate', blocks: ['key'] }

  @Words(80) name!: string
  @IsArray() @ArrayMaxSize(20) @IsString({ each: true }) @MaxLength(60, { each: true }) blocks!: string[]
}

/** One more press pass is planned. */
export const addLayer = defineAct(edition, 'add-layer', NewLayer, theirs, {
  events: [layerAdded],
  rule: ({ edition }, data, context) => {
    const shut = planGate(edition, context)
    if (shut) return shut
    if (edition.layers.length >= mostLayers)
      return refuse('too-many-layers', `An edition takes at most ${mostLayers} layers.`)
    if (edition.sheets.some((sheet) => sheet.mark))
      return refuse('numbered', 'Prints are numbered. Take the numbers back before you add a layer.')
    return [
      layerAdded.on(edition, {
        layerId: context.commandId,
        name: data.name.trim() || `Layer ${edition.layers.length + 1}`,
        blocks: data.blocks,
        zones: [wholeBlock()],
      }),
    ]
  },
})
