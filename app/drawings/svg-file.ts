import { type Drawing, pens, type Shape } from '#core/drawing/shapes'

const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!)
const figure = (value: number) => String(Math.round(value * 1000) / 1000)

function stroke(shape: Shape): string {
  const { width, dash } = pens[shape.pen]
  return `fill="none" stroke="#000" stroke-width="${width}"${dash.length > 0 ? ` stroke-dasharray="${dash.join(' ')}"` : ''}`
}

function element(shape: Shape): string {
  if (shape.kind === 'circle')
    return `<circle cx="${figure(shape.x)}" cy="${figure(shape.y)}" r="${figure(shape.radius)}" ${stroke(shape)}/>`
  if (shape.kind === 'text')
    return `<text x="${figure(shape.x)}" y="${figure(shape.y)}" font-size="${shape.size}" font-family="sans-serif" text-anchor="${shape.anchor}">${escaped(shape.text)}</text>`
  const points = shape.points.map(([x, y]) => `${figure(x)},${figure(y)}`).join(' ')
  return `<${shape.closed ? 'polygon' : 'polyline'} points="${points}" ${stroke(shape)}/>`
}

/** A drawing as an SVG file at full size: one unit of it is one millimetre. */
export function svgFile(drawing: Drawing, title: string): string {
  const { width, height, shapes } = drawing
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}">`,
    `<title>${escaped(title)}</title>`,
    ...shapes.map(element),
    '</svg>',
    '',
  ].join('\n')
}
