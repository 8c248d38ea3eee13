/** A column of numbers that grows as rows come in. */
export class Growing {
  #values = new Float64Array(4096);
  length = 0;

  push(value: number): void {
    if (this.length === this.#values.length) {
      const larger = new Float64Array(this.#values.length * 2);
      larger.set(this.#values);
      this.#values = larger;
    }
    this.#values[this.length] = value;
    this.length += 1;
  }

  /** The numbers pushed so far. */
  taken(): Float64Array {
    return this.#values.subarray(0, this.length);
  }
}
