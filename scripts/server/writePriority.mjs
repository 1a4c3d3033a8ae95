// Who taps or saves goes before who reads. Pages are drawn in one thread: all that are begun share it, and each makes a save wait.

/** So many pages are drawn at once: while one waits for the data another is drawn, and a save is held up by no more. */
export const pagesAtOnce = 3
/** A page takes up a place for so long at most, ms; then it is heavy, or waits for something else, and holds nobody up. */
const longestMilliseconds = 150

let drawing = 0
const waiting = []

/** What pages are made of comes from the disk and costs nothing. */
const isPage = ({ method, url = '' }) => method === 'GET' && !/^\/(_next|api)\//.test(url)

/** Comes when a request is answered, or takes too long. */
function doneOrLong(ended) {
  let timer
  const long = new Promise((resolve) => (timer = setTimeout(resolve, longestMilliseconds)))
  return Promise.race([ended, long]).finally(() => clearTimeout(timer))
}

function begin(page) {
  drawing += 1
  void doneOrLong(page.ended).then(() => {
    drawing -= 1
    const next = waiting.shift()
    if (next) begin(next)
  })
  page.go()
}

/**
 * Comes at once for a save and all that is no page; for a page when one of those before it is drawn.
 * @param ended comes once the request is answered or given up
 */
export async function writePriority(request, ended) {
  if (!isPage(request)) return
  await new Promise((go) => {
    const page = { ended, go }
    if (drawing < pagesAtOnce) begin(page)
    else waiting.push(page)
  })
}
