/** Pictures of cut blocks, drawn for the demo: ink where the surface stands, bare where it was cut away. */
const ink = '#26282b'
const cut = '#c9b48f'

const stairs = Array.from(
  { length: 7 },
  (_, i) => `<rect x="${120 + i * 62}" y="${440 - i * 46}" width="420" height="22" fill="${ink}"/>`,
).join('')
const planks = Array.from(
  { length: 9 },
  (_, i) => `<rect x="${40 + i * 92}" y="30" width="74" height="${70 + ((i * 37) % 50)}" fill="${ink}"/>`,
).join('')
/** L O F T, as it stands on a block: reversed. */
const letters = `<g transform="translate(860 520) scale(-1 1)" fill="${ink}"><path d="M0 0h16v44h26v14H0z"/><path fill-rule="evenodd" d="M56 0h46v58H56zM72 14v30h14V14z"/><path d="M116 0h42v14h-26v10h20v13h-20v21h-16z"/><path d="M170 0h46v14h-15v44h-16V14h-15z"/></g>`

const board = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="620"><rect width="900" height="620" fill="${cut}"/>${inside}</svg>`

export const netLoftFirst = board(
  `<rect x="20" y="20" width="860" height="580" fill="${ink}"/><rect x="330" y="150" width="240" height="120" fill="${cut}"/>`,
)
export const netLoftSecond = board(
  `${planks}<rect x="20" y="150" width="860" height="340" fill="${ink}"/><rect x="330" y="170" width="240" height="120" fill="${cut}"/>${letters}`,
)
export const netLoftThird = board(`${planks}${stairs}${letters}`)

/** A pair of scales, its heavy pan low on one side. */
export const scales = board(
  `<rect x="430" y="60" width="36" height="420" fill="${ink}"/><rect x="150" y="90" width="600" height="24" fill="${ink}"/><rect x="560" y="330" width="290" height="200" fill="${ink}"/><rect x="120" y="250" width="150" height="22" fill="${ink}"/>`,
)

/** Roofs of corrugated tin, ridge behind ridge. */
export const roofs = board(
  [90, 250, 410]
    .map(
      (top, i) =>
        `<path d="M${40 + i * 30} ${top + 130}L${300 + i * 40} ${top}L${620 + i * 60} ${top + 130}z" fill="${ink}"/>${Array.from(
          { length: 7 },
          (_, n) => `<rect x="${200 + i * 40 + n * 42}" y="${top + 78}" width="9" height="52" fill="${cut}"/>`,
        ).join('')}`,
    )
    .join(''),
)

/** A picture of the print that a block gives: reversed, so that lettering reads right. */
export function printed(block: string): string {
  const [, width] = /width="(\d+)"/.exec(block)!
  return block
    .replace(/(<svg[^>]*>)/, `$1<g transform="translate(${width} 0) scale(-1 1)">`)
    .replace('</svg>', '</g></svg>')
}
