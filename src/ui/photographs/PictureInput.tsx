import { useId, type ReactNode } from 'react'

interface PictureInputProps {
  readonly className: string
  /** Opens the camera at once, where there is one. */
  readonly isCamera?: boolean
  readonly take: (files: readonly File[]) => void
  /** What can be tapped. */
  readonly children: ReactNode
}

/** Asks for pictures: from the camera, or files. */
export function PictureInput({ className, isCamera, take, children }: PictureInputProps) {
  const id = useId()
  return (
    <>
      <input
        id={id}
        type="file"
        accept="image/*"
        className="visually-hidden picture-input"
        multiple={!isCamera}
        capture={isCamera ? 'environment' : undefined}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])]
          // The same one may be chosen again.
          event.target.value = ''
          take(files)
        }}
      />
      <label htmlFor={id} className={className}>
        {children}
      </label>
    </>
  )
}
