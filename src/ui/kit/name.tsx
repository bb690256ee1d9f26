/** What a colour is called; where that is its code, in the type of codes, whose letters do not run together. */
export function Name({ children }: { readonly children: string }) {
  const isCode = /^(?:#[\da-f]+|[a-z-]+\(.*\))$/i.test(children)
  return (
    <b className={`block truncate font-semibold ${isCode ? 'code text-[12.5px]!' : ''}`}>
      {children}
    </b>
  )
}
