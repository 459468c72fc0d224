import { type Context, streamId } from '../ground/envelope'
import { type Refused, refuse } from '../ground/refusal'
import { isStaff } from '../ground/who'
import type { BlockState } from '../stores/block/state'
import type { EditionState } from './state'
import { edition } from './stream'
import { isNamed } from './who'

/** The edition that each block was made for: the first that was printed from it. None for a block nothing was written of. */
export const madeFor = (blocks: readonly Pick<BlockState, 'editions'>[]) =>
  [...new Set(blocks.flatMap(({ editions }) => editions.slice(0, 1)))].map((stream) => edition.of(streamId(stream)))

/**
 * Why a block is not theirs to change, cancel or print from, or null: it belongs to those named on the edition it was made
 * for, whatever edition it is reached through.
 * @param owners the editions of `madeFor`; one that is not known here stands in nobody's way
 */
export function notTheirBlock(
  owners: readonly Pick<EditionState, 'title' | 'plan' | 'artistId' | 'printerIds'>[],
  { role, personId }: Pick<Context, 'role' | 'personId'>,
): Refused | null {
  if (isStaff(role)) return null
  const another = owners.find((owner) => owner.plan !== null && !isNamed(owner, personId))
  return another
    ? refuse(
        'not-theirs',
        `This block was made for ${another.title}. Ask those named on that edition to do it, or staff.`,
        'blockId',
      )
    : null
}
