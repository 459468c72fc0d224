/**
 * Ask for what is wanted in the same turn with one question.
 * @param ask for everything by its names, each once
 * @returns asks for one name among those of the others; what goes wrong goes wrong for all of them
 */
export function gathered<Answer>(
  ask: (names: readonly string[]) => Promise<Answer>,
): (name: string) => Promise<Answer> {
  let names = new Set<string>()
  let answer: Promise<Answer> | null = null
  return (name) => {
    names.add(name)
    answer ??= Promise.resolve().then(() => {
      const asked = [...names]
      names = new Set()
      answer = null
      return ask(asked)
    })
    return answer
  }
}
