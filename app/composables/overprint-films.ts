import { computed } from 'vue'
import { mostLayers } from '#core/ink/roll-up'
import { useEdition } from '~/stores/edition'
import { useSupplies } from '~/stores/supplies'
import { useFollowing } from './following'
import { usualFilm, usualPaper, useShelf } from './shelf'

/** One film of the stack: a layer, or one ink of a layer that has several zones. */
export interface FilmRow {
  layerId: string
  batchId: string | null
  thickness: number
}

/** The edition's layers as films, in the order they are tried in: what they are called, what they are made of, how they move. */
export function useOverprintFilms() {
  const edition = useEdition()
  const supplies = useSupplies()
  const { ofBatch } = useShelf()
  const layers = computed(() => edition.state!.layers.slice(0, mostLayers))
  const batchNames = computed(() => new Map(supplies.batches.map((batch) => [batch.id, batch.name])))

  /** A film for each zone of a layer; zones lie side by side and never one over the other. */
  function standing() {
    const kept = edition.state!.overprint
    const rows = layers.value
      .flatMap((layer): FilmRow[] => {
        const known = kept?.layers.filter((row) => row.layerId === layer.id) ?? []
        const inks = [...new Set(layer.zones.map((zone) => zone.batchId).filter((id) => id !== null))]
        if (known.length >= Math.max(1, inks.length)) return known
        return (inks.length > 0 ? inks : [null]).map((batchId) => ({
          layerId: layer.id,
          batchId,
          thickness: known.find((row) => row.batchId === batchId)?.thickness ?? usualFilm,
        }))
      })
      .slice(0, mostLayers)
    const place = (row: FilmRow) => {
      const at = kept?.layers.findIndex((known) => known.layerId === row.layerId) ?? -1
      return at < 0 ? mostLayers : at
    }
    return {
      paper: kept?.paper ?? usualPaper,
      rows: rows.sort((a, b) => place(a) - place(b)).map((row) => ({ ...row })),
      wishes: [...(kept?.wishes ?? [])],
    }
  }
  const form = useFollowing(standing)

  const known = computed(() =>
    form.value.rows.flatMap((row) => {
      const layer = layers.value.find((one) => one.id === row.layerId)
      return layer ? [{ row, layer, mix: ofBatch(row.batchId) }] : []
    }),
  )
  /** The films whose ink is known: those a colour can be told of. */
  const laid = computed(() =>
    known.value.flatMap(({ row, layer, mix }) => (mix && row.thickness > 0 ? [{ row, layer, mix }] : [])),
  )

  const zoned = (layerId: string) => form.value.rows.filter((row) => row.layerId === layerId).length > 1
  /** A film's key: its layer, and its ink too where the layer has several. */
  const keyOf = (row: FilmRow) => (zoned(row.layerId) ? `${row.layerId} ${row.batchId}` : row.layerId)
  function nameOf(row: FilmRow): string {
    const layer = layers.value.find((one) => one.id === row.layerId)
    if (!layer) return 'a layer'
    if (!zoned(row.layerId)) return layer.name
    const zone = layer.zones.find((one) => one.batchId === row.batchId)
    return `${layer.name}, ${zone?.name ?? batchNames.value.get(row.batchId ?? '') ?? 'no ink'}`
  }
  const keysIn = (set: number) => laid.value.filter((_, i) => (set & (1 << i)) !== 0).map(({ row }) => keyOf(row))
  const named = (keys: string[]) =>
    keys
      .map((key) => {
        const row = form.value.rows.find((one) => keyOf(one) === key)
        return row ? nameOf(row) : 'a layer'
      })
      .join(' + ')

  /** Which layer each film belongs to, by its place in the edition. */
  const groups = computed(() => laid.value.map(({ layer }) => layers.value.indexOf(layer)))

  /** All zones of a layer are laid in one pull, and so move together. */
  function move(from: number, to: number): boolean {
    const { rows } = form.value
    if (to < 0 || to >= rows.length || rows[from]!.layerId === rows[to]!.layerId) return false
    const moved = rows.filter((row) => row.layerId === rows[from]!.layerId)
    const rest = rows.filter((row) => row.layerId !== rows[from]!.layerId)
    const beyond = rest.filter((row) => row.layerId === rows[to]!.layerId)
    const at = rest.indexOf(to > from ? beyond.at(-1)! : beyond[0]!) + (to > from ? 1 : 0)
    form.value.rows = [...rest.slice(0, at), ...moved, ...rest.slice(at)]
    return true
  }

  return { form, standing, known, laid, groups, batchNames, keyOf, nameOf, keysIn, named, move }
}
