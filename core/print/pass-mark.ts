/** What prints are looked at for: the stricter mark first. */
export type PassMark = 'for sale' | 'for class'
export const passMarks: readonly PassMark[] = ['for sale', 'for class']
