import { useEffect, useRef } from 'react'

/** Says a text aloud when it changes, with the browser's own voice; silent where it has none or is not asked to. */
export function useSpeech(text: string, isOn: boolean): void {
  const said = useRef('')
  useEffect(() => {
    if (!isOn || text === '' || text === said.current) return
    said.current = text
    try {
      const words = new SpeechSynthesisUtterance(text)
      words.lang = document.documentElement.lang
      speechSynthesis.speak(words)
    } catch {
      // Without a voice the screen says it.
    }
  }, [text, isOn])
}
