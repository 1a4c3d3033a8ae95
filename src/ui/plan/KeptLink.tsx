import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useState, type MouseEvent, type ReactNode } from 'react'

interface KeptLinkProps {
  readonly href: string
  /** A change is still on its way to the server. */
  readonly keeping: boolean
  readonly className?: string
  readonly children: ReactNode
}

/** A link away from the plan: it waits until the newest change is on the server, so that the next page has it. */
export function KeptLink({ href, keeping, className, children }: KeptLinkProps) {
  'use memo'
  const router = useRouter()
  const [isLeaving, setIsLeaving] = useState(false)
  useEffect(() => {
    if (isLeaving && !keeping) router.push(href)
  }, [isLeaving, keeping, href, router])
  const leave = (event: MouseEvent) => {
    if (!keeping || event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    setIsLeaving(true)
  }
  return (
    <Link href={href} className={className} aria-busy={isLeaving} onClick={leave}>
      {children}
    </Link>
  )
}
