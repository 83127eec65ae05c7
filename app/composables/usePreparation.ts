import { useLocalStorage } from '@vueuse/core'
import type { Preparation } from '#shared/benchAct'
import { LANES, type LaneName } from '#shared/lanes'
import type { KitChoices } from '#shared/kitChoices'
import type { MeasuredQuantity } from '#shared/measuredQuantity'
import { usualStove } from '#shared/rehearsal'

/** A lane being set up for the next run, like the last one: a series is the same again. */
export function usePreparation() {
  const bench = useBench()
  const { units } = usePreferences()
  const { now, moveTo } = useNowConditions()
  const choices = shallowRef<KitChoices | null>(null)
  const preparation = ref<Preparation | null>(null)
  const last = useLocalStorage<Partial<Preparation>>('vulcanum.bench.last', {})
  const following = useFollowing(choices, preparation)
  const beginning = useBeginning({ choices, preparation, last, ...following })

  /** Arms the lane with what is chosen. */
  async function arm() {
    if (!choices.value || !preparation.value) return
    last.value = Object.fromEntries(STAYS.map((key) => [key, preparation.value![key]]))
    await prepareLane(bench, choices.value, preparation.value)
    const { placeId, rehearsal } = preparation.value
    // Where nothing was said yet, this is where one is. Without the server the strip stays as it is.
    if (placeId !== null && !rehearsal && now.value?.place === null) await moveTo(placeId, units.value)
  }
  return { choices, preparation, ...following, ...beginning, arm }
}

interface Beginning extends ReturnType<typeof useFollowing> {
  choices: Ref<KitChoices | null>
  preparation: Ref<Preparation | null>
  last: Ref<Partial<Preparation>>
}
/** How it stands when it is opened: like the last run, or one that is to be done again, on a lane that is free. */
function useBeginning({ choices, preparation, last, method, rehearse }: Beginning) {
  const { query } = useRoute()
  const bench = useBench()
  const { now } = useNowConditions()
  const unreadable = ref('')
  const taken = useTaken(preparation as Ref<Preparation>, ref<Begun>({ like: null, taken: {} }))

  async function begin(kit: KitChoices) {
    const from = await readLike({ run: query.again, person: last.value.personId })
    const lane = freeLane(bench, query.lane)
    const measured = { ...emptyMeasured(), ...freshReadings(now.value) }
    const offline = from ? {} : stillThere(kit, last.value)
    const one = { ...firstPreparation(kit, lane), ...offline, lane, overrides: {}, measured }
    preparation.value = one
    if (from) taken.take(kit, from)
    preparation.value.setupId = kit.setups.find(({ id }) => id === query.setup)?.id ?? preparation.value.setupId
    // Where one is now says the strip; where nobody said, it is where the last run was.
    preparation.value.placeId = now.value?.place?.id ?? preparation.value.placeId
    preparation.value.test = method.value?.body.test ?? 'boil'
    if ('rehearse' in query) rehearse(true)
  }
  onMounted(async () => {
    await bench.start()
    try {
      choices.value = await readChoices()
      await begin(choices.value)
    } catch {
      unreadable.value = UNREADABLE
    }
  })
  function beginEmpty() {
    taken.clear()
    preparation.value!.methodId = firstPreparation(choices.value!, preparation.value!.lane).methodId
  }
  return { unreadable, taken, beginEmpty }
}

/** The lane that was asked for; where a run stands on it, one that is free. */
function freeLane(bench: ReturnType<typeof useBench>, asked: unknown): LaneName {
  const wanted = LANES.find((name) => name === asked) ?? 'A'
  return bench.laneAt(wanted) === null ? wanted : (bench.freeLane ?? 'A')
}

const UNREADABLE =
  'The kit could not be read: the server does not answer, and this browser never saw it. Try again when it is back.'

/** What the next lane has in common with the last. */
const STAYS = [
  'setupId',
  'fuelBatchId',
  'methodId',
  'personId',
  'placeId',
  'containerId',
  'setting',
  'instruments',
  'test',
] as const satisfies readonly (keyof Preparation)[]

/** What follows from a choice: the test from the method, the stand-in from the fuel. */
function useFollowing(choices: Ref<KitChoices | null>, preparation: Ref<Preparation | null>) {
  const { now } = useNowConditions()
  const method = computed(() => choices.value?.methods.find((one) => one.id === preparation.value?.methodId) ?? null)
  watch(
    () => preparation.value?.methodId,
    () => {
      if (preparation.value) preparation.value.test = method.value?.body.test ?? 'boil'
    },
  )
  const stoveFor = (fuelBatchId: string) =>
    usualStove(choices.value?.fuels.find((each) => each.id === fuelBatchId)?.kind ?? null)
  watch(
    () => preparation.value?.fuelBatchId,
    (id) => {
      if (preparation.value?.rehearsal) preparation.value.rehearsal.stove = stoveFor(id ?? '')
    },
  )
  /** What is rehearsed is read off the stand-ins, not off this hour's air. */
  function rehearse(is: boolean) {
    const { value: one } = preparation
    if (!one) return
    one.rehearsal = is ? { stove: stoveFor(one.fuelBatchId), speed: 1, trouble: false } : null
    const read = freshReadings(now.value)
    for (const quantity of OF_THE_AIR) one.measured[quantity] = is ? '' : (read[quantity] ?? one.measured[quantity])
  }
  return { method, rehearse }
}

const OF_THE_AIR = ['air', 'wind'] as const satisfies readonly MeasuredQuantity[]
const FRESH_MS = 60 * 60_000
/** What the strip says of this hour is this run's reading too. */
function freshReadings(
  now: ReturnType<typeof useNowConditions>['now']['value'],
): Partial<Record<MeasuredQuantity, string>> {
  const fresh = (now?.readings ?? []).filter(
    ({ quantity, readAt }) =>
      (OF_THE_AIR as readonly string[]).includes(quantity) && Date.now() - Date.parse(readAt) < FRESH_MS,
  )
  return Object.fromEntries(fresh.map((one) => [one.quantity, one.typed]))
}
