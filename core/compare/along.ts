/** What fuel is drawn against: what of a run stands on the axis, which rung takes it out, and how it is put in again. */
import { altitudeFromStationPressure, stationPressureFromAltitude } from '../air/pressure'
import type { RunAnswer } from '../formats/answer'
import type { RunDocument } from '../formats/document'
import type { Reference, RungName } from '../normalise/reference'
import { saturationPressure } from '../water/saturation'

export const ALONG_KINDS = ['wind', 'cold', 'height', 'volume'] as const
export type AlongKind = (typeof ALONG_KINDS)[number]

interface Along {
  xOf: (run: { answer: RunAnswer; document: RunDocument }) => number | null
  /** The rung that corrects for it. */
  rung: RungName
  referenceAt: (reference: Reference, x: number) => Reference
  /** How far it is drawn, by what was tested. */
  spanOf: (tested: readonly [number, number]) => [number, number]
}

/** Drawn as far as testers ask for it. Source: commonPractice. */
const CALM_TO_MS = 4
const COLD_C = -20
const WARM_C = 25
const HIGH_M = 3500

export const ALONG: Record<AlongKind, Along> = {
  wind: {
    xOf: ({ document }) => document.place.windMS,
    rung: 'wind',
    referenceAt: (reference, windMS) => ({ ...reference, windMS }),
    spanOf: ([, to]) => [0, Math.max(CALM_TO_MS, 1.3 * to)],
  },
  cold: {
    xOf: ({ document }) => document.place.airC,
    rung: 'surroundings',
    referenceAt: (reference, airC) => ({ ...reference, airC }),
    spanOf: ([from, to]) => [Math.min(COLD_C, from), Math.max(WARM_C, to)],
  },
  height: {
    xOf: ({ answer: { boilingPointC } }) =>
      boilingPointC === null ? null : Math.round(altitudeFromStationPressure(saturationPressure(boilingPointC))),
    rung: 'boilingPoint',
    referenceAt: (reference, altitudeM) => ({
      ...reference,
      pressureHPa: stationPressureFromAltitude(altitudeM) / 100,
    }),
    spanOf: ([, to]) => [0, Math.max(HIGH_M, to)],
  },
  volume: {
    xOf: ({ document: { water } }) => (water.massG === null ? null : water.massG + (water.snowG ?? 0)),
    rung: 'volume',
    referenceAt: (reference, waterG) => ({ ...reference, waterG }),
    spanOf: ([from, to]) => [from, to],
  },
}
