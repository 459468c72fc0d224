import { computed, ref } from 'vue'
import { editionRecord } from '#core/edition/record'
import { certificateFacts } from '#core/edition/record-facts'
import { date } from '~/format/days'
import { useEdition } from '~/stores/edition'
import { useSession } from '~/stores/session'
import { useUnits } from '~/stores/units'

/** What the papers of the edition on screen are made of, and which of its signed prints they are for. */
export function useEditionPapers(wanted = '') {
  const edition = useEdition()
  const session = useSession()
  const units = useUnits()
  const record = computed(() => editionRecord(edition.state!, edition.studio, session.nameOf, session.zone))
  const writing = { size: units.size, day: date }
  /** One number, as it is written on the print; all that are signed while it is empty. */
  const only = ref(wanted)
  const numbers = computed(() => {
    const one = only.value.trim()
    return record.value.sheets
      .filter(({ signed, place }) => signed !== '' && place !== 'destroyed')
      .map(({ number }) => number)
      .filter((number) => one === '' || number === one)
  })
  return {
    edition,
    units,
    record,
    writing,
    only,
    numbers,
    factsOf: (number: string) => certificateFacts(record.value, number, writing),
  }
}
