/** The invented kit of the demonstration: the field store of a small volcano observatory. No maker or product is meant. */
import type { NewPlace, NewThing } from '../database/repositories/kit'

const ZONE = 'Atlantic/Azores'

export const PEOPLE = ['Odra Vell', 'Tamsin Quay'] as const

export const PLACES = {
  store: { name: 'Harbour store', zone: ZONE, altitudeM: 12, windHeightM: null },
  hut: { name: 'Ash Gate hut', zone: ZONE, altitudeM: 940, windHeightM: null },
  rim: { name: 'Crater rim camp', zone: ZONE, altitudeM: 2130, windHeightM: null },
  saddle: { name: 'Ice saddle', zone: ZONE, altitudeM: 2870, windHeightM: null },
} as const satisfies Record<string, NewPlace>

const pot = (name: string, massKg: number, material: 'titanium' | 'aluminium' | 'stainless', diameterM: number, capacityM3: number, finned = false): NewThing =>
  ({ kind: 'pot', name, properties: { massKg, material, diameterM, capacityM3, finned } })

export const THINGS = {
  fumarole: { kind: 'burner', name: 'Fumarole', description: 'Small gas burner on the canister, open head', properties: { burner: 'canister-top', head: 'exposed', massKg: 0.074 } },
  solfatara: { kind: 'burner', name: 'Solfatara', description: 'Gas burner on the canister, recessed head', properties: { burner: 'canister-top', head: 'sheltered', massKg: 0.087 } },
  maar: { kind: 'burner', name: 'Maar', description: 'Gas burner and finned pot in one', properties: { burner: 'integrated', head: 'sheltered', massKg: 0.165 } },
  ignimbrite: { kind: 'burner', name: 'Ignimbrite', description: 'Gas burner on a hose', properties: { burner: 'remote-gas', head: 'sheltered', massKg: 0.195 } },
  andesite: { kind: 'burner', name: 'Andesite', description: 'Pressure burner for white gas and kerosene', properties: { burner: 'liquid-pressure', head: 'sheltered', massKg: 0.340 } },
  lahar: { kind: 'burner', name: 'Lahar', description: 'Home-made alcohol jet burner', properties: { burner: 'alcohol', head: 'sheltered', massKg: 0.021 } },
  lapilli: { kind: 'burner', name: 'Lapilli', description: 'Folding tray for tablets', properties: { burner: 'solid', head: 'exposed', massKg: 0.045 } },
  dacite: { kind: 'burner', name: 'Dacite', description: 'Cup for alcohol gel', properties: { burner: 'gel', head: 'exposed', massKg: 0.030 } },
  breccia: { kind: 'burner', name: 'Breccia', description: 'Batch wood can with closable air holes', properties: { burner: 'wood', head: 'sheltered', massKg: 0.210 } },
  cinder: pot('Cinder 900', 0.098, 'titanium', 0.092, 0.0009),
  tuff: pot('Tuff 1300', 0.140, 'aluminium', 0.128, 0.0013),
  spatterPlain: pot('Spatter 1000', 0.195, 'aluminium', 0.118, 0.001),
  spatterFins: pot('Spatter 1000 F', 0.230, 'aluminium', 0.118, 0.001, true),
  ash: pot('Ash mug 600', 0.110, 'titanium', 0.108, 0.0006),
  bomb: pot('Bomb 700', 0.092, 'titanium', 0.100, 0.0007),
  dyke: pot('Dyke 2000', 0.410, 'stainless', 0.170, 0.002),
  flatLid: { kind: 'lid', name: 'Flat lid', properties: { massKg: 0.022 } },
  smallLid: { kind: 'lid', name: 'Mug lid', properties: { massKg: 0.012 } },
  wireStand: { kind: 'stand', name: 'Wire stand', properties: { massKg: 0.028 } },
  cone: { kind: 'screen', name: 'Close cone', properties: { form: 'cone', gapM: 0.013, massKg: 0.034 } },
  wrap: { kind: 'screen', name: 'Foil wrap', properties: { form: 'wrap', gapM: 0.013, massKg: 0.018 } },
  fineScale: { kind: 'instrument', name: 'Bench scale', properties: { measures: 'mass', resolution: 0.0001, unit: 'kg' } },
  probe: { kind: 'instrument', name: 'Lid probe', properties: { measures: 'temperature', resolution: 0.1, unit: '°C' } },
  cups: { kind: 'instrument', name: 'Cup anemometer', properties: { measures: 'wind', resolution: 0.1, unit: 'm/s' } },
} as const satisfies Record<string, NewThing>

export type ThingKey = keyof typeof THINGS

export const SETUPS = {
  narrowOpen: { name: 'Fumarole with narrow pot', gapM: 0.022, parts: { burner: 'fumarole', pot: 'cinder', lid: 'flatLid' } },
  wideSheltered: { name: 'Solfatara with wide pot', gapM: 0.018, parts: { burner: 'solfatara', pot: 'tuff', lid: 'flatLid' } },
  finned: { name: 'Solfatara with finned pot', gapM: 0.018, parts: { burner: 'solfatara', pot: 'spatterFins', lid: 'flatLid' } },
  spiritCone: { name: 'Lahar in the cone', gapM: 0.025, parts: { burner: 'lahar', pot: 'ash', lid: 'smallLid', stand: 'wireStand', screen: 'cone' } },
  tabletBig: { name: 'Lapilli under the big pot', gapM: 0.030, parts: { burner: 'lapilli', pot: 'dyke', lid: 'flatLid' } },
  tablet: { name: 'Lapilli with wrap', gapM: 0.030, parts: { burner: 'lapilli', pot: 'bomb', lid: 'smallLid', screen: 'wrap' } },
} as const satisfies Record<string, { name: string, gapM: number, parts: Partial<Record<string, ThingKey>> }>

export const FUELS = {
  gas: { kind: 'isobutane-propane', name: 'Isobutane-propane', batch: 'store canisters, spring' },
  methanol: { kind: 'methanol', name: 'Methanol', batch: 'drum 3' },
  hexamine: { kind: 'hexamine', name: 'Hexamine tablets', batch: 'tin from the hut' },
  ethanol: { kind: 'ethanol-denatured', name: 'Ethanol, denatured', batch: 'hardware shop' },
  whiteGas: { kind: 'white-gas', name: 'White gas', batch: 'opened this year' },
  kerosene: { kind: 'kerosene', name: 'Kerosene', batch: 'generator shed' },
  wood: { kind: 'wood-dry', name: 'Heather sticks', batch: 'dried indoors' },
} as const
