const [PATIENCE_MS, LOOK_MS] = [120_000, 20];

/** Waits until it is so, as long as a busy machine takes. */
export async function until(ready: () => boolean): Promise<void> {
  for (const end = Date.now() + PATIENCE_MS; !ready() && Date.now() < end;)
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
  expect(ready()).toBe(true);
}
