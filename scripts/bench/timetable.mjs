import { chromium } from '@playwright/test'
import { args } from './page.mjs'
import { bundled } from './planning.mjs'

/**
 * A busy room in the browser: so many editions with so many tasks on five presses and as many people as editions, each
 * edition with drying between its layers and a day it is due, and racks that are short now and then. Ms to the first plan, and to the best that is found.
 */
export async function measureTimetable(editions = 40, tasksAll = 300) {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args })
  const page = await browser.newPage()
  await page.goto('about:blank')
  await page.addScriptTag({ content: await bundled('./timetable-models.ts') })
  const measured = await page.evaluate(
    ({ editions, tasksAll }) => {
      const { betterPlans, openSpans, emptyCalendar } = window.models
      const now = Math.round(Date.UTC(2026, 10, 2, 8) / 60_000)
      const day = 24 * 60
      const hours = [1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, from: '09:00', until: '21:00' }))
      const room = { ...emptyCalendar(), timeZone: 'Europe/Oslo', hours }
      const open = openSpans(room, { from: now, to: now + 182 * day })
      let seed = 7
      const whole = (least, most) => {
        seed = (Math.imul(seed, 1103515245) + 12345) >>> 0
        // The low bits of such a row go round soon.
        return least + ((seed >>> 12) % (most - least + 1))
      }
      const tasks = []
      for (let i = 0; i < tasksAll; i++) {
        const edition = i % editions
        const before = tasks.filter(({ editionId }) => editionId === `e${edition}`).at(-1)
        const atPress = whole(0, 3) > 0
        const dries = whole(0, 3) * day
        tasks.push({
          id: `t${i}`,
          editionId: `e${edition}`,
          minutes: whole(6, 60) * 5,
          resources: [...(atPress ? [`press:${whole(0, 4)}`] : []), `person:${edition % 20}`],
          after: before ? [{ taskId: before.id, lag: before.dries, within: null }] : [],
          due: i >= tasksAll - editions ? now + whole(6, 30) * day : null,
          notBefore: null,
          at: null,
          sheets: atPress ? whole(10, 40) : 0,
          dries: atPress ? dries : 0,
          beginBy: null,
        })
      }
      const began = performance.now()
      const plans = betterPlans(tasks, { now, open, taken: new Map(), racks: { slots: 250, lying: [] } })
      const first = plans.next().value
      const firstAt = performance.now() - began
      // The page stops looking when nothing better is found, or after nine seconds.
      let best = first
      let rounds = 0
      let longestStep = 0
      for (let last = performance.now(); performance.now() - began < 9000;) {
        const { value, done } = plans.next()
        if (value !== best) rounds++
        longestStep = Math.max(longestStep, performance.now() - last)
        last = performance.now()
        best = value
        if (done) break
      }
      return {
        first: firstAt,
        whole: performance.now() - began,
        rounds,
        longestStep,
        lateBefore: first.badness[1],
        lateAfter: best.badness[1],
        unplaced: best.unplaced.length,
      }
    },
    { editions, tasksAll },
  )
  await browser.close()
  return measured
}
