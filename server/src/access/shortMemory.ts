/** What was worked out for a key a while ago: forgotten by whatever may have changed it, and by itself in time. */
export class ShortMemory<Value> {
  private readonly kept = new Map<string, { value: Promise<Value>; until: number }>();

  /** `lastsMs`: how long something is good for; `most`: of how many keys. */
  constructor(
    private readonly lastsMs: number,
    private readonly most: number,
  ) {}

  /** What is known for a key, or is worked out now; what fails is not kept. */
  get(key: string, work: () => Promise<Value>): Promise<Value> {
    const now = Date.now();
    const known = this.kept.get(key);
    if (known && known.until > now) return known.value;
    const value = work();
    if (this.kept.size >= this.most) this.kept.clear();
    const entry = { value, until: now + this.lastsMs };
    this.kept.set(key, entry);
    value.catch(() => {
      if (this.kept.get(key) === entry) this.kept.delete(key);
    });
    return value;
  }

  /** Forgets what is known for a key; of all of them where none is given. */
  forget(key?: string): void {
    if (key === undefined) this.kept.clear();
    else this.kept.delete(key);
  }
}
