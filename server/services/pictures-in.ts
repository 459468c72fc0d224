/** Every picture that a command or an event names, wherever in its data. */
export function picturesIn(value: unknown): string[] {
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inner]) =>
    key === 'pictureId' && typeof inner === 'string' ? [inner] : picturesIn(inner),
  )
}
