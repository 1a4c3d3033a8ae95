/** The mark: a wheel whose spokes stand at even distance, one of them worked on. */
export function Mark() {
  const spokes = Array.from({ length: 9 }, (_, index) => index * 40)
  return (
    <svg viewBox="-50 -50 100 100" role="img" aria-label="Even Spoke">
      <circle r="44" fill="none" stroke="currentColor" strokeWidth="6" />
      {spokes.map((degrees) => (
        <path
          key={degrees}
          d="M -3.4 -12 L -2.2 -38 L 2.2 -38 L 3.4 -12 Z"
          transform={`rotate(${degrees})`}
          fill={degrees === 40 ? '#eba634' : 'currentColor'}
        />
      ))}
      <circle r="8" fill="currentColor" />
    </svg>
  )
}
