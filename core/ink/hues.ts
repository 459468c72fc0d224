/** Hues a printer may want to keep out of a blend, in degrees of CIELAB. */
export const hues = {
  red: [345, 50],
  orange: [50, 75],
  yellow: [75, 112],
  green: [112, 200],
  blue: [200, 290],
  violet: [290, 345],
} as const
export type HueName = keyof typeof hues
export const hueNames = Object.keys(hues) as HueName[]
