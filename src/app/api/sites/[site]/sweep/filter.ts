import { useFilter, type UseFilter } from '@/core/sweep'

/** What of the uses is asked for in an address; what is no filter filters nothing. */
export function filterOf(query: URLSearchParams): UseFilter {
  const given = Object.keys(useFilter.shape).flatMap((name) => {
    const value = query.get(name)
    return value === null ? [] : [[name, name === 'pair' ? Number(value) : value]]
  })
  const filter = useFilter.safeParse(Object.fromEntries(given))
  return filter.success ? filter.data : {}
}
