import { burnerFuelMismatch } from '#core/kit/burnerFuel'
import type { KitChoices } from '#shared/kitChoices'
import { TIME_NAMES, type ReadingInstrument, type TypedEventKind, type TypedRun } from '#shared/typedRun'

export interface LogFormProps {
  kit: KitChoices
  problemAt: (path: string) => string | undefined
  isTaken: (path: string) => boolean
  /** What the scale showed after the last run. */
  left: string | null
}
export type LogFormParts = ReturnType<typeof useLogForm>

const TIME_HINTS: Partial<Record<TypedEventKind, string>> = {
  rollingBoil: 'A full rolling boil, by eye.',
  shutOff: 'Empty: shut off at the boil.',
  stopped: 'Rain, knocked over: no failure to boil.',
}

/** What the boxes of a typed run are bound to, by the method that is chosen. */
export function useLogForm(props: LogFormProps, typed: Ref<TypedRun>, leave: (path: string) => void) {
  const method = computed(() => props.kit.methods.find((one) => one.id === typed.value.methodId) ?? null)
  const fields = computed(() => logFields(method.value?.body ?? null, typed.value))
  const said = (path: string) => ({ problem: props.problemAt(path), taken: props.isTaken(path) })
  const time = (kind: TypedEventKind) => ({
    label: TIME_NAMES[kind],
    kind: 'clockTime' as const,
    units: typed.value.units,
    problem: props.problemAt(`times.${kind}`),
    example: 'm:ss',
    hint: TIME_HINTS[kind],
    above: true,
    onLeft: () => leave(`times.${kind}`),
  })
  const offers = computed(() =>
    props.left === null ? {} : { fuelBefore: { text: props.left, why: 'as it was left' } },
  )
  const reading = (names: LogFields['restReadings']) => ({
    names,
    units: typed.value.units,
    problemAt: props.problemAt,
    isTaken: props.isTaken,
    offers: offers.value,
    placeAltitudeM: props.kit.places.find((place) => place.id === typed.value.placeId)?.altitudeM ?? null,
    onLeft: leave,
  })
  return { method, fields, said, time, reading, ...useLogKit(props, typed) }
}

/** What the kit says of what is chosen. */
function useLogKit(props: LogFormProps, typed: Ref<TypedRun>) {
  const containers = computed(() =>
    props.kit.containers.filter((one) => one.batchId === typed.value.fuelBatchId || one.id === typed.value.containerId),
  )
  const setup = computed(() => props.kit.setups.find((one) => one.id === typed.value.setupId) ?? null)
  const mismatch = computed(() => {
    const fuel = props.kit.fuels.find((one) => one.id === typed.value.fuelBatchId)
    return burnerFuelMismatch(setup.value?.burner ?? null, fuel?.kind ?? null)
  })
  const instrument = (measures: ReadingInstrument) => ({
    problem: props.problemAt(`instruments.${measures}`),
    taken: props.isTaken(`instruments.${measures}`),
    modelValue: typed.value.instruments[measures] || null,
    'onUpdate:modelValue': (id: string | null) => {
      typed.value.instruments = { ...typed.value.instruments, [measures]: id ?? '' }
    },
  })
  return { containers, setup, mismatch, instrument }
}
