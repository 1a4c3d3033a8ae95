import type { ReactElement } from 'react'
import type { Finish } from '@/core/finishes/finish'

/** Texture tells finishes apart without colour; every drawing brings the few it needs. */
const textures: Record<Finish, (id: string) => ReactElement> = {
  paintedGloss: (id) => (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1="-60" y1="-80" x2="50" y2="80">
      <stop offset="0" stopColor="#d9dde0" />
      <stop offset="0.45" stopColor="#8f989e" />
      <stop offset="0.5" stopColor="#f4f6f7" />
      <stop offset="0.56" stopColor="#98a1a7" />
      <stop offset="1" stopColor="#6d777d" />
    </linearGradient>
  ),
  glossBlack: (id) => (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1="-60" y1="-80" x2="50" y2="80">
      <stop offset="0" stopColor="#3a4246" />
      <stop offset="0.4" stopColor="#14181a" />
      <stop offset="0.47" stopColor="#b9c4c9" />
      <stop offset="0.52" stopColor="#14181a" />
      <stop offset="1" stopColor="#20272a" />
    </linearGradient>
  ),
  matte: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="4" height="4">
      <rect width="4" height="4" fill="#646b6f" />
      <circle cx="1" cy="1" r="0.55" fill="#80878b" />
      <circle cx="3" cy="2.9" r="0.55" fill="#51575b" />
    </pattern>
  ),
  powderCoat: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="3" height="3">
      <rect width="3" height="3" fill="#4c5459" />
      <path d="M0 1.5 q0.75 -1 1.5 0 t1.5 0" stroke="#6a7378" strokeWidth="0.5" fill="none" />
    </pattern>
  ),
  diamondCut: (id) => (
    <radialGradient id={id} gradientUnits="userSpaceOnUse" cx="0" cy="0" r="2.4" spreadMethod="repeat">
      <stop offset="0" stopColor="#eef1f2" />
      <stop offset="0.5" stopColor="#c9d0d4" />
      <stop offset="0.55" stopColor="#8e989e" />
      <stop offset="1" stopColor="#eef1f2" />
    </radialGradient>
  ),
  polishedBare: (id) => (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1="-80" y1="0" x2="80" y2="0">
      {[0, 0.14, 0.28, 0.42, 0.56, 0.7, 0.84, 1].map((offset, index) => (
        <stop key={offset} offset={offset} stopColor={index % 2 === 0 ? '#fbfcfc' : '#a9b3b8'} />
      ))}
    </linearGradient>
  ),
  brushedBare: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="6" height="2.4" patternTransform="rotate(12)">
      <rect width="6" height="2.4" fill="#bcc4c7" />
      <path d="M0 0.6 H6 M0 1.8 H4" stroke="#8d979c" strokeWidth="0.35" />
    </pattern>
  ),
  anodised: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="5" height="5" patternTransform="rotate(45)">
      <rect width="5" height="5" fill="#a08c6f" />
      <path d="M0 0 V5" stroke="#c3b091" strokeWidth="1.4" />
    </pattern>
  ),
  chrome: (id) => (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1="0" y1="-80" x2="0" y2="80">
      <stop offset="0" stopColor="#f7fafb" />
      <stop offset="0.3" stopColor="#9fb0b8" />
      <stop offset="0.48" stopColor="#fdfefe" />
      <stop offset="0.5" stopColor="#30393d" />
      <stop offset="0.62" stopColor="#7e8b91" />
      <stop offset="1" stopColor="#eef2f3" />
    </linearGradient>
  ),
  carbonFibre: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="5" height="5">
      <rect width="5" height="5" fill="#23292c" />
      <rect width="2.5" height="2.5" fill="#4a5358" />
      <rect x="2.5" y="2.5" width="2.5" height="2.5" fill="#3a4247" />
    </pattern>
  ),
  magnesium: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="7" height="7">
      <rect width="7" height="7" fill="#a39d8f" />
      <path d="M1 1.4 l1 0.6 M4.4 3.2 l1 -0.6 M2.4 5.6 l0.9 0.5" stroke="#7b766a" strokeWidth="0.5" />
    </pattern>
  ),
  paintedSteel: (id) => (
    <radialGradient id={id} gradientUnits="userSpaceOnUse" cx="0" cy="0" r="75">
      <stop offset="0.3" stopColor="#5d666b" />
      <stop offset="0.55" stopColor="#3c4448" />
      <stop offset="0.6" stopColor="#5d666b" />
      <stop offset="1" stopColor="#444c50" />
    </radialGradient>
  ),
  plasticTrim: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="8" height="8">
      <rect width="8" height="8" fill="#989fa2" />
      <circle cx="2" cy="2" r="0.9" fill="#8a9194" />
      <circle cx="6" cy="6" r="0.9" fill="#a6adb0" />
    </pattern>
  ),
  filmWrapped: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="9" height="9" patternTransform="rotate(-35)">
      <rect width="9" height="9" fill="#56707a" />
      <rect width="4.5" height="9" fill="#668390" />
    </pattern>
  ),
  unknown: (id) => (
    <pattern id={id} patternUnits="userSpaceOnUse" width="6" height="6" patternTransform="rotate(45)">
      <rect width="6" height="6" fill="#c7ccce" />
      <path d="M0 0 H6 M0 0 V6" stroke="#7f898e" strokeWidth="0.7" />
    </pattern>
  ),
}

/** Definitions for the finishes of one drawing; ids are `prefix-finish`. */
export function Textures({ prefix, finishes }: { prefix: string; finishes: readonly Finish[] }) {
  return [...new Set(finishes)].map((finish) => <g key={finish}>{textures[finish](`${prefix}-${finish}`)}</g>)
}
