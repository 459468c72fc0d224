/** What the bench asks of the server, as a browser would. */
export const plan = {
  method: 'single', work: 'press', colouring: false, layering: 'as one goes', layersPlanned: 1, expected: null, finishing: null, confidence: 0.9, start: null,
  rates: { inkGram: 0, pressHour: 0, labourHour: 0, minutesPerPull: 4 }, size: 400, sizeSchool: 'declared', orderSchool: 'curated', proofs: { AP: 20, PP: 0, HC: 0 },
  line: 'number-title-signature', year: null, numerals: 'roman', artist: 'Bench', due: null,
}

export const laid = {
  maker: '', name: 'laid', width: 760, height: 560, weight: 200, price: 1, use: 'edition', grain: 'unknown', betterSide: '', damp: false, keptAt: '',
  deckles: { left: false, right: false, top: false, bottom: false }, sheets: 5000,
}

export const torn = (lotId, sheets) => ({ lotId, lotSheets: sheets, count: sheets, wrong: 0, reason: '', width: 0, height: 0, rationId: null, offcuts: [] })
