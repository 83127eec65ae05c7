import type { KitChoices } from '#shared/kitChoices'
import type { TypedRun } from '#shared/typedRun'

const LONGEST_MS = 700
const soon = (work: Promise<unknown>) => Promise.race([work, new Promise((resolve) => setTimeout(resolve, LONGEST_MS))])

/**
 * How the draft begins: like the tester's last run, or one that is to be done again; by the method the address names, else
 * the plain boil. What was typed or chosen already stays as it is.
 */
export function useLogBeginning(kit: KitChoices, typed: Ref<TypedRun>) {
  const draft = useDraft()
  const { begun } = storeToRefs(draft)
  const taken = useTaken(typed, begun)
  const { query } = useRoute()
  const methodOf = (id: unknown) => kit.methods.find((one) => one.id === id)
  /** A run was to be done again, and another draft stands here. */
  const isInTheWay = ref(false)

  function chooseMethod() {
    const boil = typed.value.methodId === '' ? kit.methods.find((one) => one.body.test === 'boil') : undefined
    const method = methodOf(query.method) ?? boil
    if (method && method.id !== typed.value.methodId) applyMethod(typed.value, method)
  }
  async function beginLike() {
    isInTheWay.value = typeof query.again === 'string' && begun.value.like?.run.id !== query.again && !mayTake(draft)
    if (!mayTake(draft)) return
    const found = await readLike({ run: query.again, person: typed.value.personId })
    if (!found || !mayTake(draft)) return
    taken.take(kit, found)
    const method = methodOf(query.method) ?? methodOf(typed.value.methodId)
    if (method) applyMethod(typed.value, method)
  }
  function beginEmpty() {
    taken.clear()
    typed.value.methodId = ''
    chooseMethod()
  }
  async function beginAnother() {
    draft.begin()
    chooseMethod()
    await beginLike()
  }
  chooseMethod()
  /** What it begins with is known; or the server takes too long to say. */
  const isKnown = ref(false)
  onMounted(async () => {
    await soon(beginLike())
    isKnown.value = true
  })
  return { ...taken, isKnown, isInTheWay, beginEmpty, beginAnother }
}

/** Nothing was typed, and nothing chosen but what was taken. */
function mayTake({ untouched, typed, begun }: ReturnType<typeof useDraft>): boolean {
  if (!untouched) return false
  if (begun.like === null) return typed.setupId === '' && typed.fuelBatchId === ''
  const paths = Object.keys(begun.taken)
  return paths.length > 0 && paths.every((path) => standingAt(typed, path) === begun.taken[path])
}

/** What the scale showed after the run it is like, where it is the same container, or the same fuel in the same set-up. */
export function leftOf(typed: TypedRun, like: ReturnType<typeof useTaken>['like']['value']): string | null {
  if (like === null) return null
  const { containerId, fuelBatchId, setupId } = like.chosen
  const isSame =
    typed.containerId === containerId &&
    typed.fuelBatchId === fuelBatchId &&
    (containerId !== null || typed.setupId === setupId)
  return isSame ? like.left : null
}
