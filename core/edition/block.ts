import type { Block } from './state'

export function hasBlock(state: { blocks: readonly Block[] }, blockId: string): boolean {
  return state.blocks.some((block) => block.id === blockId)
}
