// Who taps or saves goes before who reads. Pages are drawn in one thread: all that are begun share it, and each makes a save wait.

/** Something goes first for so long at most, ms; then it is heavy, or waits for something else, and holds nobody up. */
const longestMilliseconds = 150

/** What goes first now: saves, and the page that is being drawn. */
const saves = new Set()
let lastPage = Promise.resolve()

const isSave = ({ method, headers, url = '' }) =>
  method === 'POST' && (headers['next-action'] !== undefined || /^\/api\/jobs\/[^/]+\/events$/.test(url))

/** What pages are made of comes from the disk and costs nothing. */
const isPage = ({ method, url = '' }) => method === 'GET' && !/^\/(_next|api)\//.test(url)

/** Comes when a request is answered, or takes too long. */
function doneOrLong(ended) {
  let timer
  const long = new Promise((resolve) => (timer = setTimeout(resolve, longestMilliseconds)))
  return Promise.race([ended, long]).finally(() => clearTimeout(timer))
}

/**
 * Comes at once for a save; for a page after what is being saved, and after the page before it.
 * @param ended comes once the request is answered or given up
 */
export async function savesFirst(request, ended) {
  if (isSave(request)) {
    const save = doneOrLong(ended)
    saves.add(save)
    void save.then(() => saves.delete(save))
  } else if (isPage(request)) {
    const before = lastPage
    const turn = before.then(() => Promise.all(saves))
    lastPage = turn.then(() => doneOrLong(ended))
    await turn
  }
}
