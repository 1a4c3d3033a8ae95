/** A link that has led nowhere for so many looks is followed by the browser itself: five seconds. */
const looks = 25
const betweenLooksMilliseconds = 200

/** What the browser brings; tests give others. */
export interface FollowPorts {
  /** The address of the page that is shown. */
  address(): string
  /** Loads a page anew. */
  load(address: string): void
  after(work: () => void, milliseconds: number): void
}

const browser: FollowPorts = {
  address: () => location.href,
  load: (address) => location.assign(address),
  after: (work, milliseconds) => void setTimeout(work, milliseconds),
}

let newest = 0

/**
 * Sees to it that a tap on a link leads somewhere: where the page in front is still the same after a while, because an answer got
 * lost or never ends, the browser loads the page as it would without any script. The newest tap counts.
 * @param href within the program
 */
export function followLink(href: string, ports: FollowPorts = browser): void {
  const from = ports.address()
  const to = new URL(href, from).href
  newest += 1
  const mine = newest
  // Once it has led somewhere it is done: somebody may come back to where they were.
  const look = (left: number): void => {
    if (mine !== newest || ports.address() !== from) return
    if (left === 0) ports.load(to)
    else ports.after(() => look(left - 1), betweenLooksMilliseconds)
  }
  if (to !== from) look(looks)
}
