import Link from 'next/link'

export default function NotFoundPage() {
  return (
    <main className="mx-auto grid max-w-md gap-4 p-16">
      <h1 className="text-xl font-bold">There is nothing at this address</h1>
      <p>
        The site may have been removed, or the address has a slip.{' '}
        <Link href="/" className="underline">
          All sites
        </Link>
      </p>
    </main>
  )
}
