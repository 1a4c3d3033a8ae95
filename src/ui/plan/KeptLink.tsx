import { Link } from '@/ui/Link'
import { followLink } from '@/ui/followLink'
import { useRouter } from 'next/navigation'
import { useState, type MouseEvent, type ReactNode } from 'react'

interface KeptLinkProps {
  readonly href: string
  /** A change is still on its way to the server. */
  readonly keeping: boolean
  readonly whenKept: () => Promise<boolean>
  readonly className?: string
  readonly children: ReactNode
}

/**
 * A link away from the plan. It waits until the newest change is on the server, so that the next page has it; where that was
 * refused the plan stays in front, with the reason.
 */
export function KeptLink({ href, keeping, whenKept, className, children }: KeptLinkProps) {
  'use memo'
  const router = useRouter()
  const [isWaiting, setIsWaiting] = useState(false)
  const follow = async (event: MouseEvent) => {
    if (!keeping || event.metaKey || event.ctrlKey || event.shiftKey) return
    event.preventDefault()
    setIsWaiting(true)
    const isKept = await whenKept()
    setIsWaiting(false)
    if (!isKept) return
    followLink(href)
    router.push(href)
  }
  return (
    <Link href={href} className={className} aria-busy={isWaiting} onClick={(event) => void follow(event)}>
      {children}
    </Link>
  )
}
