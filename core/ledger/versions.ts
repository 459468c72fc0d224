/** The version each event type is written with today; types not named here are at 1. */
export const currentVersions: Record<string, number> = {
  'edition-started': 2,
  'plan-changed': 2,
  'sheets-torn': 2,
  'lot-added': 2,
  'lot-torn': 2,
  'studio-set': 2,
  'batch-mixed': 2,
}

export function versionOf(type: string): number {
  return currentVersions[type] ?? 1
}
