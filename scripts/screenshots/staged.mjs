/** What the demonstration does not hold: a file sent and not stored, and instruments of two lanes. */
import { randomUUID } from 'node:crypto'

/** A table as somebody keeps it, sent and not stored. */
const MESSY = `Porch tests;;;;;;;\nDate;Stove;Water (mL);Start temp;Fuel before (g);Fuel after (g);Boil;Wind\n2026-03-14;Fumarole with narrow pot;500;17,2;212,4;205,1;3:48;calm\n2026-03-15;Fumarole with narrow pot;500;16,9;205,1;197,9;3:52;calm\n2026-03-16;Tin can;500;16,5;40,0;42,5;9:10;1,8 m/s\n2026-03-17;Tin can;half;16,5;40,0;22,5;9:10;`
export async function staged(address) {
  const id = randomUUID()
  await fetch(`${address}/api/imports/${id}?name=porch.csv`, {
    method: 'PUT',
    headers: { 'content-type': 'application/octet-stream' },
    body: MESSY,
  })
  return id
}

const CHANNELS = ['water', 'scale', 'wind', 'air']
/** Lane, since when its pot is on, and after how long it boils [s]. */
const FED = [
  ['A', 236, 400],
  ['D', 440, 380],
]

/** Instruments of two lanes, since the pot was put on: what they sent, so far. @returns what takes them away */
export async function followed(address) {
  const { serverMs } = await (await fetch(`${address}/api/bench`)).json()
  const feeds = []
  for (const [lane, sinceS, boilsAfterS] of FED) {
    const { id, token } = await newFeed(address, lane)
    const lines = Array.from({ length: sinceS / 2 }, (_, i) =>
      reading(i, { atMs: Math.round(serverMs - (sinceS - 2 * i) * 1000), boilsAfterS }),
    )
    await fetch(`${address}/api/instruments/samples?batch=picture`, {
      method: 'POST',
      headers: { authorization: `Bearer ${token}`, 'content-type': 'text/plain' },
      body: lines.join('\n'),
    })
    feeds.push(id)
  }
  return async () => {
    for (const id of feeds) await fetch(`${address}/api/instruments/feeds/${id}`, { method: 'DELETE' })
  }
}

async function newFeed(address, lane) {
  const id = randomUUID()
  const lanes = Object.fromEntries(CHANNELS.map((channel) => [channel, [lane]]))
  const answer = await fetch(`${address}/api/instruments/feeds`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id, name: `probe ${lane}`, lanes }),
  })
  return { id, token: (await answer.json()).value.token }
}

/** All channels at the ith reading, one every two seconds. */
function reading(i, { atMs, boilsAfterS }) {
  const s = 2 * i
  const water = Math.min(96.7, 18 + (78.7 * s) / boilsAfterS) + 0.2 * Math.sin(i * 2.4)
  return [
    `${atMs},water,${water.toFixed(1)},degC`,
    `${atMs},scale,${(184 - s * 0.035).toFixed(1)},g`,
    `${atMs},wind,${(0.4 + 0.2 * Math.sin(i / 5)).toFixed(1)},m/s`,
    `${atMs},air,${(11.2 + 0.1 * Math.sin(i / 30)).toFixed(1)},degC`,
  ].join('\n')
}
