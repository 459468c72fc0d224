/**
 * Where a table turns into lines of text for want of width, each figure is named by its column: `v-columns` keeps the
 * headings with the cells.
 */
export default defineNuxtPlugin((nuxt) => {
  const name = (table: HTMLTableElement) => {
    const headings = [...table.querySelectorAll('thead th')].map((cell) => cell.textContent?.trim() ?? '')
    for (const row of table.querySelectorAll('tbody tr'))
      [...row.children].forEach((cell, i) => {
        const heading = i === 0 ? '' : (headings[i] ?? '')
        if (cell instanceof HTMLElement && cell.dataset.column !== heading) cell.dataset.column = heading
      })
  }
  nuxt.vueApp.directive<HTMLTableElement>('columns', { mounted: name, updated: name })
})
