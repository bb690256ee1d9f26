/**
 * A member that a record has itself. Ids and names come from people and files,
 * and every object answers to `constructor` or `toString` without having one.
 */
export function own<T>(record: Readonly<Record<string, T>>, key: string): T | undefined {
  return Object.hasOwn(record, key) ? record[key] : undefined
}
