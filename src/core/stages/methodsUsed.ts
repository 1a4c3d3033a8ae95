import type { Message } from '@/core/message/message'

/** Settings of the shop that decided something in a plan, each once. */
export class MethodsUsed {
  readonly #byText = new Map<string, Message>()

  add(method: Message): void {
    this.#byText.set(JSON.stringify(method), method)
  }

  all(): Message[] {
    return [...this.#byText.values()]
  }
}
