/** What stands in a folder or file of the recorded disk; a rename moves it, its identity stays. */
export interface Inode {
  readonly id: number
  readonly isFolder: boolean
}

export type DiskChange =
  | { readonly kind: 'link'; readonly folder: Inode; readonly name: string; readonly inode: Inode }
  | { readonly kind: 'unlink'; readonly folder: Inode; readonly name: string }
  | { readonly kind: 'write'; readonly inode: Inode; readonly position: number; readonly bytes: Uint8Array }
  | { readonly kind: 'truncate'; readonly inode: Inode; readonly size: number }

/** One thing that happened, in order; `upTo` is how many events had happened when the sync was asked for. */
export type DiskEvent =
  | DiskChange
  | { readonly kind: 'sync'; readonly inode: Inode; readonly upTo: number }
  | { readonly kind: 'mark'; readonly text: string }

export interface Recording {
  readonly root: Inode
  readonly events: readonly DiskEvent[]
}
