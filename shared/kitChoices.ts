/** What a run can be made of, for the form's lists: nothing that was retired. */
import type { PressureFacts } from '../core/air/pressureOf'
import type { BurnerKind } from '../core/formats/document'
import type { MethodBody } from '../core/method/method'
import type { Measures, PartRole } from './thing'

interface SetupChoice {
  id: string
  name: string
  parts: { role: PartRole; name: string }[]
  burner: BurnerKind | null
  warnings: string[]
}
interface MethodChoice {
  id: string
  name: string
  body: MethodBody
}

export interface KitChoices {
  people: { id: string; name: string }[]
  places: ({ id: string; name: string; zone: string } & PressureFacts)[]
  setups: SetupChoice[]
  fuels: { id: string; fuel: string; kind: string; batch: string; openedOn: string | null }[]
  methods: MethodChoice[]
  instruments: { id: string; name: string; measures: Measures; resolution: number; overdueDays: number | null }[]
  containers: { id: string; name: string; batchId: string; fillKg: number | null }[]
}
