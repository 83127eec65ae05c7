/** Who may say something: the list, and who said it last, until another is chosen. */
export function usePeople() {
  const { data } = useFetch<{ id: string; name: string }[]>('/api/kit/people')
  const people = computed(() => namedChoices(data.value ?? []))
  return { people, personId: useState('saysWho', () => '') }
}
