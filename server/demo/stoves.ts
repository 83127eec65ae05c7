/** What stands in for the demonstration's stoves beyond the campaign's five. Invented parameters. */
import { CAMPAIGN_SETUPS } from '../../core/simulate/campaign'
import type { SimulatedSetup } from '../../core/simulate/stove'
import type { SetupKey } from './kit'

const ALUMINIUM = 897
const gas = (changes: Partial<SimulatedSetup>): SimulatedSetup => ({ ...CAMPAIGN_SETUPS['wide-sheltered'], ...changes })

export const STOVES = {
  narrowOpen: CAMPAIGN_SETUPS['narrow-open'],
  wideSheltered: CAMPAIGN_SETUPS['wide-sheltered'],
  finned: CAMPAIGN_SETUPS.finned,
  spiritCone: CAMPAIGN_SETUPS['spirit-cone'],
  tablet: CAMPAIGN_SETUPS.tablet,
  // One burner, two pots identical but for the fins: about 30 % apart.
  hosePlain: gas({
    potJPerK: 0.195 * ALUMINIUM,
    thetaK: 1250,
    h0WPerK: 0.6,
    areaM2: 0.023,
    burn0GPerMin: 2.6,
    v0MS: 4.5,
    evaporationW: 12,
    burnPower: 0.65,
  }),
  hoseFins: gas({
    potJPerK: 0.23 * ALUMINIUM,
    thetaK: 1250,
    h0WPerK: 0.87,
    areaM2: 0.023,
    burn0GPerMin: 2.6,
    v0MS: 4.5,
    evaporationW: 12,
    burnPower: 0.85,
  }),
  maar: gas({
    potJPerK: 0.23 * ALUMINIUM,
    thetaK: 1200,
    h0WPerK: 0.98,
    areaM2: 0.022,
    burn0GPerMin: 2.2,
    v0MS: 6,
    windPower: 1.4,
    altitudeShare: 0.03,
    burnPower: 0.9,
    evaporationW: 11,
  }),
  // The small burner under other pots: a wide one that is no thriftier at a low flame, and a finned one.
  narrowWide: gas({
    ...CAMPAIGN_SETUPS['narrow-open'],
    potJPerK: 0.14 * ALUMINIUM,
    h0WPerK: 0.75,
    areaM2: 0.029,
    burnPower: 0.8,
    evaporationW: 17,
  }),
  narrowFins: gas({
    ...CAMPAIGN_SETUPS['narrow-open'],
    potJPerK: 0.23 * ALUMINIUM,
    h0WPerK: 1.02,
    burnPower: 0.8,
    evaporationW: 12,
  }),
  wideOpen: { ...CAMPAIGN_SETUPS['wide-sheltered'], evaporationW: 44 },
  spiritBomb: gas({ ...CAMPAIGN_SETUPS['spirit-cone'], potJPerK: 0.092 * 523, h0WPerK: 0.42, v0MS: 3 }),
  pumped: gas({
    potJPerK: 0.41 * 500,
    thetaK: 1350,
    h0WPerK: 1.05,
    areaM2: 0.042,
    burn0GPerMin: 4.6,
    v0MS: 5,
    evaporationW: 24,
    altitudeShare: 0.02,
    warmUpS: 25,
  }),
  gel: gas({
    potJPerK: 0.11 * 523,
    thetaK: 900,
    h0WPerK: 0.3,
    areaM2: 0.018,
    burn0GPerMin: 1.7,
    v0MS: 2.5,
    evaporationW: 13,
    altitudeShare: 0.1,
  }),
  wood: gas({
    potJPerK: 0.092 * 523,
    thetaK: 850,
    h0WPerK: 0.85,
    areaM2: 0.022,
    burn0GPerMin: 14,
    v0MS: 4,
    evaporationW: 13,
    altitudeShare: 0.08,
    burnPower: 0.6,
    warmUpS: 40,
  }),
} as const satisfies Partial<Record<SetupKey, SimulatedSetup>>
export type StoveKey = keyof typeof STOVES
