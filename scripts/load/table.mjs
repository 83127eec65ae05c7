/** A table of runs of one set-up and one fuel, brought in as a tester would. */
import { randomUUID } from 'node:crypto'
import { sleep } from '../lib/processes.mjs'
import { Stop } from '../lib/say.mjs'

const HEADINGS = 'Started,Water (g),Start temp,Fuel before (g),Fuel after (g),Boil,Wind'

/** @returns CSV: a run an hour from the first day of that year */
export function runsTable(count, year) {
  const rows = Array.from({ length: count }, (_, i) =>
    [
      new Date(Date.UTC(year, 0, 1) + i * 3_600_000).toISOString(),
      473,
      `${(8 + (i % 100) / 10).toFixed(1)} °C`,
      212.4,
      (204 - (i % 30) / 10).toFixed(1),
      `${3 + (i % 3)}:${String(i % 60).padStart(2, '0')}`,
      'calm',
    ].join(','),
  )
  return [HEADINGS, ...rows].join('\n')
}

export const getJson = async (address) => (await fetch(address)).json()

/** @throws Stop, with what was said, where it is refused */
async function ask(address, method, body) {
  const answer = await fetch(address, { method, body, headers: { 'content-type': 'application/json' } })
  const text = await answer.text()
  if (!answer.ok) throw new Stop(`${address}: ${text}`)
  return JSON.parse(text)
}

/** Sends a file and says what is in it. @returns id, and the body that previews and stores it */
export async function stageTable(url, text) {
  const kit = await getJson(`${url}/api/kit`)
  const id = randomUUID()
  await ask(`${url}/api/imports/${id}?name=series.csv`, 'PUT', text)
  const { guessed } = await getJson(`${url}/api/imports/${id}`)
  const setup = kit.setups.find((one) => one.burner === 'canister-top')
  const fuel = kit.fuels.find((one) => /propane/i.test(one.fuel))
  const personId = kit.people[0].id
  const mapping = {
    ...guessed,
    zone: 'UTC',
    usual: { ...guessed.usual, setup: setup.id, fuel: fuel.id, person: personId },
  }
  return { id, body: JSON.stringify({ what: 'runs', mapping, personId, leaveOut: false, again: false }) }
}

export async function storeStaged(url, { id, body }) {
  await ask(`${url}/api/imports/${id}/store`, 'POST', body)
  for (let state = 'storing'; state === 'storing'; await sleep(200))
    ({ state } = await getJson(`${url}/api/imports/${id}`))
}

export async function figuresStand(url) {
  for (let left = 1; left > 0; await sleep(300)) left = (await getJson(`${url}/api/figures`)).stale
}

/** @returns ids of its runs, the first page of them, once their figures stand */
export async function storeTable(url, text) {
  const staged = await stageTable(url, text)
  await storeStaged(url, staged)
  await figuresStand(url)
  const { lines } = await getJson(`${url}/api/runs?import=${staged.id}`)
  if (lines.length === 0)
    throw new Stop(`No run came in: ${JSON.stringify(await getJson(`${url}/api/imports/${staged.id}`)).slice(0, 400)}`)
  return lines.map((line) => line.id)
}
