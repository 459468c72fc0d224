import type { Layer } from '../edition/layer'
import type { InkFamily } from '../ink/family'
import type { PressSetting } from '../press/stack'
import type { RunAtPress } from './change-over'

/** What is known of a batch, by its id. */
export type InkOf = (batchId: string) => { family: InkFamily; lightness: number } | undefined

/**
 * A layer's run as it stands to the next one at the press.
 * @param divisions of a turn of the press's screws; 0 of a press without
 * @param setting as it was set then; the one in force when it is left out
 */
export function runAtPress(
  layer: Layer,
  inkOf: InkOf,
  divisions: number,
  setting: PressSetting | null = layer.setups.at(-1)?.setup ?? null,
): RunAtPress {
  const batchIds = layer.zones.flatMap(({ batchId }) => batchId ?? [])
  const inks = batchIds.flatMap((id) => inkOf(id) ?? [])
  return {
    batchIds,
    family: inks[0]?.family ?? null,
    lightness: inks.length === 0 ? null : Math.max(...inks.map(({ lightness }) => lightness)),
    turns: setting === null || divisions === 0 ? null : meanTurns(setting, divisions),
    packing: setting && Object.fromEntries(setting.packing.map(({ name, count }) => [name, count])),
  }
}

const meanTurns = ({ left, right }: PressSetting, divisions: number): number =>
  (left.turns + right.turns + (left.divisions + right.divisions) / divisions) / 2
