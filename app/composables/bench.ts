import { computed, ref } from 'vue'
import type { CommandData } from '#core/house/acts'
import type { AdjustmentKind, ProofKind, PullKind, Verdict } from '#core/print/verdicts'
import { useEdition } from '~/stores/edition'
import { useBenchLast } from './bench-last'
import { useBenchStack } from './bench-stack'
import { useLayerChoice } from './layer-choice'

/** What a station at the press can do, each in one action; `useBenchActs` gives them one after another. */
export function useBench(wantedLayer: string) {
  const edition = useEdition()
  const { layerId, layer } = useLayerChoice(wantedLayer)
  /** Proofs and warm-up on an edition sheet instead of newsprint. */
  const onGoodPaper = ref(false)
  const wetOnWet = ref(false)
  const proofKind = ref<ProofKind>('WP')
  const stack = useBenchStack(
    computed(() => edition.state),
    layer,
    computed(() => edition.handOut),
  )
  const last = useBenchLast(layerId)

  function data(kind: PullKind, verdict: Verdict): CommandData<'pull'> {
    const takesSheet = kind === 'pull' || onGoodPaper.value
    return {
      layerId: layerId.value,
      kind,
      proofKind: kind === 'proof' ? proofKind.value : null,
      verdict,
      sheetIds: takesSheet ? stack.lay.value.map(({ id }) => id) : [],
      faults: [],
      rescued: null,
      wetOnWet: wetOnWet.value,
      setupSeq: layer.value?.setups.at(-1)?.seq ?? 0,
      batchIds: layer.value?.zones.map((zone) => zone.batchId).filter((id): id is string => id !== null) ?? [],
    }
  }

  const pull = (kind: PullKind, verdict: Verdict = 'good') => edition.tap('pull', data(kind, verdict))

  const adjust = (kind: AdjustmentKind) => edition.tap('adjust', { layerId: layerId.value, kind, note: '' })

  const declareDry = async () => {
    const at = edition.state!.layers.findIndex((l) => l.id === layerId.value)
    const beneath = edition.state!.layers[at - 1]
    if (beneath) await edition.tap('declare-dry', { layerId: beneath.id, sheetIds: stack.undried.value })
  }

  return { layerId, layer, onGoodPaper, wetOnWet, proofKind, ...stack, ...last, pull, adjust, declareDry }
}
