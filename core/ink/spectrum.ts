/**
 * Reflectance from 400 to 700 nm in 31 bands of 10 nm, and the colour an eye sees of it.
 *
 * Sources: colour matching functions of the CIE 1931 standard observer (2°) and the relative power of illuminant D65, as
 * tabled in CIE 15; the sRGB primaries of IEC 61966-2-1. What lies below 400 and above 700 nm is left out, and each of
 * X, Y and Z is scaled so that a perfect white is exactly the white of sRGB.
 */
export type Spectrum = Float64Array

export const bands = 31
export const wavelengths = Array.from({ length: bands }, (_, i) => 400 + 10 * i)

const observer = [
  [0.01431, 0.000396, 0.06785],
  [0.04351, 0.00121, 0.2074],
  [0.13438, 0.004, 0.6456],
  [0.2839, 0.0116, 1.3856],
  [0.34828, 0.023, 1.74706],
  [0.3362, 0.038, 1.77211],
  [0.2908, 0.06, 1.6692],
  [0.19536, 0.09098, 1.28764],
  [0.09564, 0.13902, 0.81295],
  [0.03201, 0.20802, 0.46518],
  [0.0049, 0.323, 0.272],
  [0.0093, 0.503, 0.1582],
  [0.06327, 0.71, 0.07825],
  [0.1655, 0.862, 0.04216],
  [0.2904, 0.954, 0.0203],
  [0.43345, 0.99495, 0.00875],
  [0.5945, 0.995, 0.0039],
  [0.7621, 0.952, 0.0021],
  [0.9163, 0.87, 0.00165],
  [1.0263, 0.757, 0.0011],
  [1.0622, 0.631, 0.0008],
  [1.0026, 0.503, 0.00034],
  [0.85445, 0.381, 0.00019],
  [0.6424, 0.265, 0.00005],
  [0.4479, 0.175, 0.00002],
  [0.2835, 0.107, 0],
  [0.1649, 0.061, 0],
  [0.0874, 0.032, 0],
  [0.04677, 0.017, 0],
  [0.0227, 0.00821, 0],
  [0.01136, 0.004102, 0],
] as const

const daylight = [
  82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811, 109.354, 107.802, 104.79,
  107.689, 104.405, 104.046, 100, 96.3342, 95.788, 88.6856, 90.0062, 89.5991, 87.6987, 83.2886, 83.6992, 80.0268,
  80.2146, 82.2778, 78.2842, 69.7213, 71.6091,
] as const

/** XYZ of the white of sRGB. */
const white = [0.95047, 1, 1.08883] as const
const fromXyz = [
  [3.2404542, -1.5371385, -0.4985314],
  [-0.969266, 1.8760108, 0.041556],
  [0.0556434, -0.2040259, 1.0572252],
] as const

/** Rows for X, Y and Z: what each band of a reflectance adds. */
const toXyz = [0, 1, 2].map((row) => {
  const power = observer.map((sensed, i) => sensed[row]! * daylight[i]!)
  const whole = power.reduce((sum, value) => sum + value, 0)
  return Float64Array.from(power, (value) => (value / whole) * white[row]!)
})

/** Rows for the three linear parts of sRGB. */
export const toLinear = fromXyz.map((row) =>
  Float64Array.from(
    { length: bands },
    (_, i) => row[0] * toXyz[0]![i]! + row[1] * toXyz[1]![i]! + row[2] * toXyz[2]![i]!,
  ),
)

const dot = (row: Float64Array, of: Spectrum) => {
  let sum = 0
  for (let i = 0; i < bands; i++) sum += row[i]! * of[i]!
  return sum
}

/** The same value in every band. */
export const even = (value: number): Spectrum => new Float64Array(bands).fill(value)

/** CIE XYZ under D65, white at Y = 1. */
export function xyzOf(reflectance: Spectrum): { x: number; y: number; z: number } {
  return { x: dot(toXyz[0]!, reflectance), y: dot(toXyz[1]!, reflectance), z: dot(toXyz[2]!, reflectance) }
}

/** Linear red, green and blue; outside 0 to 1 when no screen can show the colour. */
export function linearOf(reflectance: Spectrum): [number, number, number] {
  return [dot(toLinear[0]!, reflectance), dot(toLinear[1]!, reflectance), dot(toLinear[2]!, reflectance)]
}
