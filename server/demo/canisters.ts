/** The store's canisters: drawn from one after the other, each weighed full first. */
import type { Connection } from '../database/connection'
import { weighContainer } from '../kit/containers'
import { made, newRecord } from '../runs/burnOne'
import { CANISTERS, FULL_G, SHELL_G, SETUPS } from './kit'
import { THINGS } from './things'
import type { DemoKit } from './loadKit'
import type { DemoRun } from './runs'

/** Less than this is kept for the kettle. */
const LEAST_G = 22

export class Canisters {
  private index = -1
  private leftG = 0
  constructor(
    private readonly tx: Connection,
    private readonly kit: DemoKit,
  ) {}

  /** Two weighings with the burner on, from the canister in use or a new one. */
  async draw(run: DemoRun, usedG: number): Promise<{ containerId: string; measured: DemoRun['measured'] }> {
    if (this.leftG - usedG < LEAST_G) await this.open(run)
    const burner = SETUPS[run.setup].parts.burner
    const burnerG = Number.parseFloat((THINGS[burner].fields as { massKg: string }).massKg)
    const before = SHELL_G + burnerG + this.leftG
    this.leftG -= usedG
    return {
      containerId: this.kit.containers[this.index]!,
      measured: { fuelBefore: `${before.toFixed(1)} g`, fuelAfter: `${(before - usedG).toFixed(1)} g` },
    }
  }

  private async open(run: DemoRun): Promise<void> {
    this.index++
    if (this.index >= CANISTERS.length) throw new Error('The demonstration has burned all its canisters.')
    this.leftG = FULL_G + (this.index % 3) * 0.4
    const at = new Date(Date.parse(run.at) - 30 * 60_000).toISOString()
    made(
      await weighContainer(
        this.tx,
        this.kit.containers[this.index]!,
        newRecord(
          { kind: 'full', massKg: `${(SHELL_G + this.leftG).toFixed(1)} g`, at, note: 'New, from the shelf' },
          this.kit.people[run.who]!,
        ),
        Date.parse(run.at),
      ),
    )
  }
}
