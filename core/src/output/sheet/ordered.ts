/*
 * Puts groups into a wanted order as far as what has to come before something else allows.
 */

/** Which groups have to stand before others, by their numbers. */
export class Precedence {
  readonly #before = new Map<number, Set<number>>();

  /** Notes that one stands before another. */
  note(earlier: number, later: number): void {
    if (earlier === later) return;
    const known = this.#before.get(later);
    if (known) known.add(earlier);
    else this.#before.set(later, new Set([earlier]));
  }

  /**
   * The numbers below a count in order: whatever has to stand before something does, and the lowest of those that may come
   * next comes next. Those that would have to stand before one another are left out, and what has to stand behind them.
   */
  order(count: number): number[] {
    const waiting = Array.from({ length: count }, (_, index) => this.#before.get(index)?.size ?? 0);
    const behind = new Map<number, number[]>();
    for (const [later, earlier] of this.#before)
      for (const one of earlier) {
        const known = behind.get(one);
        if (known) known.push(later);
        else behind.set(one, [later]);
      }
    const ready = waiting.flatMap((left, index) => (left === 0 ? [index] : []));
    const order: number[] = [];
    for (let next = ready.shift(); next !== undefined; next = ready.shift()) {
      order.push(next);
      for (const later of behind.get(next) ?? []) {
        waiting[later] = (waiting[later] ?? 0) - 1;
        if (waiting[later] !== 0) continue;
        const place = ready.findIndex((other) => other > later);
        ready.splice(place === -1 ? ready.length : place, 0, later);
      }
    }
    return order;
  }
}
