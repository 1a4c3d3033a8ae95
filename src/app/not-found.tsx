import { Link } from '@/ui/Link'

export default function NotFound() {
  return (
    <>
      <h1>Nothing stands here</h1>
      <p className="soft">The wheel set or job may have been removed.</p>
      <p className="mt-3">
        <Link href="/wheels" className="btn btn-primary">
          To the wheel sets
        </Link>
      </p>
    </>
  )
}
