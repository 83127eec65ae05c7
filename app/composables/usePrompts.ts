import { dueWords } from '#core/bench/cooling'
import { useLocalStorage } from '@vueuse/core'

/** Whether this browser beeps and speaks. */
export const usePromptChoice = () => useLocalStorage('vulcanum.bench.prompts', { sound: true, speech: false })

let audio: AudioContext | null = null
/** Two short tones, heard over a burner. */
function beep() {
  audio ??= new AudioContext()
  for (const [at, hertz] of [
    [0, 880],
    [0.18, 1175],
  ] as const) {
    const tone = audio.createOscillator()
    const gain = audio.createGain()
    tone.frequency.value = hertz
    gain.gain.value = 0.25
    tone.connect(gain).connect(audio.destination)
    tone.start(audio.currentTime + at)
    tone.stop(audio.currentTime + at + 0.14)
  }
}

/** Says and sounds what becomes due on any lane, once each time it becomes so. */
export function usePrompts() {
  const prompts = usePromptChoice()
  const before = new Set<string>()
  const lanes = useLaneSeconds()
  const due = computed(() => {
    return lanes.value.flatMap(({ lane, second: now }) => {
      const prediction = lanePredicts(lane, now)
      const reading = dueWords(lane, now)
      const grave = laneSaysNow(lane, now, prediction, [])
        .filter((one) => ['giveUp', 'duration', 'falling', 'unseen'].includes(one.key))
        .map((one) => ({ key: `${lane.runId}.${one.key}`, words: `Lane ${lane.lane}. ${one.words}` }))
      return [
        ...(reading
          ? [
              {
                key: `${lane.runId}.due.${lane.state.marks.filter((mark) => mark.kind === 'reading').length}`,
                words: `Lane ${lane.lane}. ${reading}.`,
              },
            ]
          : []),
        ...grave,
      ]
    })
  })
  const last = ref('')
  watch(
    () => due.value.map((one) => one.key).join(' '),
    () => {
      const fresh = due.value.filter((one) => !before.has(one.key))
      before.clear()
      for (const one of due.value) before.add(one.key)
      if (fresh.length === 0) return
      last.value = fresh.map((one) => one.words).join(' ')
      // A browser sounds nothing before the first press on the page.
      if (prompts.value.sound && navigator.userActivation?.hasBeenActive !== false) beep()
      if (prompts.value.speech && 'speechSynthesis' in window)
        speechSynthesis.speak(new SpeechSynthesisUtterance(last.value))
    },
  )
  return last
}
