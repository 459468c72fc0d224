import type { Verdict } from '#core/print/verdicts'

/** Verdicts alike, one after another, on their way to become one act. */
interface Run {
  verdict: Verdict
  sheetIds: number[]
  /** One person’s own view, which settles nothing. */
  isAlone: boolean
}

/** A run that nobody adds to is handed in, ms. */
const restsAfter = 1_500

/**
 * Prints looked at one a second: verdicts that are alike are kept as one act, handed in when another verdict comes, when the
 * hand rests, or when the page is left. Until then they are kept in this browser, so that a reload loses none.
 */
export function useCuratingRun(isAlone: Ref<boolean>) {
  const edition = useEdition()
  const session = useSession()
  // Whoever sits down next hands in nobody else's run.
  const name = computed(() => (session.person ? `curating ${edition.id} ${session.person.id}` : null))
  const run = ref<Run | null>(null)
  /** Runs on their way out. */
  const leaving = new Set<Run>()
  let timer: ReturnType<typeof setTimeout> | undefined

  /** What was said of a sheet in the run that is still open. */
  const said = (sheetId: number): Verdict | null => (run.value?.sheetIds.includes(sheetId) ? run.value.verdict : null)

  /** Kept here until each is where it cannot be lost. */
  function keep(): void {
    if (!name.value) return
    const runs = [...leaving, ...(run.value ? [run.value] : [])]
    if (runs.length > 0) localStorage.setItem(name.value, JSON.stringify(runs))
    else localStorage.removeItem(name.value)
  }

  async function give(given: Run): Promise<void> {
    leaving.add(given)
    const { sheetIds, verdict } = given
    await (given.isAlone
      ? edition.tap('view-prints', { sheetIds, verdict, note: '' })
      : edition.tap('curate-run', { sheetIds, verdict, reason: '' }))
    leaving.delete(given)
    keep()
  }

  async function handIn(): Promise<void> {
    clearTimeout(timer)
    const taken = run.value
    run.value = null
    if (taken) await give(toRaw(taken))
  }

  function see(sheetId: number, verdict: Verdict): void {
    const same = run.value?.verdict === verdict && run.value.isAlone === isAlone.value
    if (!same) void handIn()
    const before = same ? run.value!.sheetIds.filter((id) => id !== sheetId) : []
    run.value = { verdict, sheetIds: [...before, sheetId], isAlone: isAlone.value }
    keep()
    clearTimeout(timer)
    timer = setTimeout(() => void handIn(), restsAfter)
  }

  /** The last verdict taken back, while its run is still open. @returns its sheet */
  function takeBack(): number | null {
    const last = run.value?.sheetIds.at(-1)
    if (!run.value || last === undefined) return null
    const sheetIds = run.value.sheetIds.slice(0, -1)
    run.value = sheetIds.length > 0 ? { ...run.value, sheetIds } : null
    keep()
    return last
  }

  /** What a reload left: as soon as it is known who sits here, and the edition is on the table. */
  watch(
    () => (edition.state ? name.value : null),
    (known) => {
      const left = known === null ? null : localStorage.getItem(known)
      if (left) for (const one of JSON.parse(left) as Run[]) void give(one)
    },
    { immediate: true },
  )
  watch(isAlone, () => void handIn())
  const goes = () => void handIn()
  onMounted(() => window.addEventListener('pagehide', goes))
  onBeforeUnmount(() => {
    window.removeEventListener('pagehide', goes)
    goes()
  })
  return { see, said, takeBack, handIn }
}
