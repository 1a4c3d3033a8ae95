/** What a picture of a wheel shows. */
export interface Scene {
  readonly spokeCount: number
  /** Colour of the face. */
  readonly paint: string
  /** 0: clean; 1: under a season's brake dust. */
  readonly dust: number
  /** Shifts the camera a little, so that no two are the same. */
  readonly number: number
}

const spoke = (angle: number, width: number): string =>
  `<path d="M${-width} -70 L${-width * 0.72} -272 L${width * 0.72} -272 L${width} -70 Z" transform="rotate(${angle})"/>`

/** A wheel on a wet floor as an SVG drawing, for photographs of the demo: 1280 by 960. */
export function wheelScene({ spokeCount, paint, dust, number }: Scene): string {
  const angles = Array.from({ length: spokeCount }, (_, at) => (360 / spokeCount) * at + number * 7)
  const [x, y] = [640 + ((number * 37) % 60) - 30, 470 + ((number * 23) % 30) - 15]
  return `<svg xmlns="http://www.w3.org/2000/svg" width="1280" height="960">
    <defs>
      <linearGradient id="floor" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#20272b"/>
        <stop offset="0.72" stop-color="#39434a"/><stop offset="0.78" stop-color="#59646b"/><stop offset="1" stop-color="#7c878d"/></linearGradient>
      <radialGradient id="tyre"><stop offset="0.7" stop-color="#0b0c0d"/><stop offset="0.88" stop-color="#24282a"/>
        <stop offset="1" stop-color="#101213"/></radialGradient>
      <radialGradient id="disc"><stop offset="0.2" stop-color="#3a3f42"/><stop offset="1" stop-color="#8d9498"/></radialGradient>
      <linearGradient id="face" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#fff" stop-opacity="0.75"/>
        <stop offset="0.5" stop-color="#fff" stop-opacity="0"/><stop offset="1" stop-color="#000" stop-opacity="0.55"/></linearGradient>
      <filter id="grain"><feTurbulence type="fractalNoise" baseFrequency="0.035 0.05" numOctaves="4" seed="${number + 3}"/>
        <feColorMatrix values="0 0 0 0 0.28  0 0 0 0 0.19  0 0 0 0 0.13  1.6 0 0 0 -0.35"/><feComposite in2="SourceGraphic" operator="in"/></filter>
    </defs>
    <rect width="1280" height="960" fill="url(#floor)"/>
    <ellipse cx="${x}" cy="${y + 402}" rx="390" ry="46" fill="#000" opacity="0.55"/>
    <g transform="translate(${x} ${y}) skewY(${(number % 5) - 2})">
      <circle r="412" fill="url(#tyre)"/>
      <circle r="300" fill="#15181a"/>
      <circle r="205" fill="url(#disc)"/>
      <g fill="${paint}">${angles.map((angle) => spoke(angle, 250 / spokeCount + 10)).join('')}<circle r="86"/></g>
      <g fill="url(#face)" opacity="0.6">${angles.map((angle) => spoke(angle, 250 / spokeCount + 10)).join('')}</g>
      <circle r="287" fill="none" stroke="${paint}" stroke-width="26"/>
      <circle r="298" fill="none" stroke="#fff" stroke-opacity="0.4" stroke-width="3"/>
      <circle r="34" fill="#101213"/>
      ${[0, 72, 144, 216, 288].map((angle) => `<circle r="10" cy="-58" fill="#0d0f10" transform="rotate(${angle})"/>`).join('')}
      <circle r="302" fill="#4a3426" opacity="${0.4 * dust}"/>
      <g opacity="${dust}"><circle r="302" filter="url(#grain)"/></g>
    </g>
  </svg>`
}
