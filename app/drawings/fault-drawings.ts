/**
 * What each fault looks like, drawn small: a printed patch of 40 by 30 with what is wrong on it. `ink` is printed, `bare` is paper
 * showing in it, `line` is drawn with a thin pen, `wash` is a pale stain.
 */
export interface FaultDrawing {
  ink?: string
  bare?: string
  line?: string
  wash?: string
}

const patch = 'M6 5h28v20h-28z'
const dot = (x: number, y: number, r = 1) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0z`
const dots = (r: number, ...places: [number, number][]) => places.map(([x, y]) => dot(x, y, r)).join('')

export const faultDrawings: Readonly<Record<string, FaultDrawing>> = {
  salt: {
    ink: patch,
    bare: dots(1, [10, 9], [15, 13], [21, 8], [27, 12], [12, 19], [19, 21], [25, 18], [30, 20], [31, 8]),
  },
  pale: { wash: patch },
  fill: { ink: 'M6 5h12v20h-12zM20 5h14v20h-14zM17 12h4v13h-4z', bare: 'M17.6 5h2.6v7h-2.6z' },
  rim: { ink: patch, line: 'M4.5 3.5h31v23h-31z' },
  halo: { wash: 'M2 2h36v26h-36z', ink: 'M9 8h22v14h-22z' },
  chatter: { ink: 'M6 5h9v20h-9z', line: 'M19 8l13-1M18 13l15 1M20 18l12-2M19 23l14 1' },
  hickey: { ink: patch, bare: dot(20, 15, 5), line: '', wash: dot(20, 15, 2) },
  corner: { ink: 'M6 5h28v9l-13 11h-15z', wash: 'M34 14v11h-13z' },
  side: { ink: 'M6 5h14v20h-14z', wash: 'M20 5h14v20h-14z' },
  lap: { ink: patch, bare: 'M6 15.5h28v1.4h-28z' },
  register: { wash: patch, line: 'M10 9h28v20h-28z' },
  skew: { line: 'M4 3h32v24h-32z', ink: 'M9 9l20-3 3 15-20 3z' },
  turned: { ink: 'M17 24v-12h-5l8-8 8 8h-5v12z', line: 'M6 27h28' },
  'wrong-face': { wash: patch, line: 'M34 5v8l-8-8zM6 5h20l8 8v12h-28z' },
  slur: { ink: 'M6 5h24v20h-24z', wash: 'M30 5h6v20h-6z' },
  ridge: { ink: 'M9 8h22v14h-22z', line: 'M5 4h30v22h-30zM6.5 5.5h27v19h-27z' },
  shadow: { wash: patch, ink: 'M14 10h10v11h-10z' },
  strike: { wash: patch, line: 'M12 9l16 12M28 9l-16 12' },
  'set-off': { line: patch, wash: 'M12 9h9v7h-9zM23 17h7v5h-7z' },
  pick: { ink: patch, bare: 'M14 10l6 2 5-3 1 6-5 4-6-2z' },
  stuck: { ink: patch, bare: 'M34 5v12l-12-12z', line: 'M34 17l-7 3-5-15' },
  dried: { ink: patch, wash: dots(4, [14, 11], [25, 17]) },
  bloom: { ink: patch, bare: '', wash: dot(21, 15, 8) },
  finger: { ink: 'M12 5h22v20h-22z', line: 'M4 18c0-4 5-4 5 0v7h-5zM5.5 19v5M7.5 19v5' },
  crease: { ink: patch, bare: 'M6 22l28-14v1.6l-28 14z' },
  shade: { ink: 'M6 5h14v20h-14z', wash: 'M20 5h14v20h-14z', line: 'M20 3v24' },
  trap: { wash: patch, ink: dots(2.2, [12, 10], [19, 13], [27, 9], [14, 19], [23, 20], [30, 17]) },
  build: { ink: 'M6 5h28v20h-28z', line: '', bare: 'M12 14h5v1h-5zM22 11h6v1h-6z' },
  handling: { ink: patch, bare: 'M26 5l-3 6 3 3-4 4h12v-13z', line: 'M26 5l-3 6 3 3-4 4' },
}
