import { isStaff, type Who } from '../ground/who'
import type { EditionState } from './state'

/** True for who is named on an edition as its artist or one of its printers. */
export const isNamed = (
  { artistId, printerIds }: Pick<EditionState, 'artistId' | 'printerIds'>,
  personId: string,
): boolean => artistId === personId || printerIds.includes(personId)

/**
 * Staff, and whoever is named on the edition: nobody else acts on it, though all may look. Of an edition that is not there
 * anyone is told so.
 */
export const theirs: Who<{ edition: EditionState }> = ({ role, personId }, { edition }) =>
  isStaff(role) || edition.plan === null || isNamed(edition, personId)

/**
 * The same, students only where a class's assignment says what they ask for first: elsewhere it is done by those who
 * answer for it.
 */
export const theirsInClass: Who<{ edition: EditionState }> = (asker, states, data) =>
  (asker.role !== 'student' || states.edition.assignment !== null) && theirs(asker, states, data)

/** The same without students: what a class does here is signed off by staff, so that they see it before it is done. */
export const theirsSignedOff: Who<{ edition: EditionState }> = (asker, states, data) =>
  asker.role !== 'student' && theirs(asker, states, data)
