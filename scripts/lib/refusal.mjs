/** Something the user can put right, said in one sentence. */
export class Refusal extends Error {}

/** Runs a script's main function: a refusal becomes one sentence and exit code 1. */
export async function run(main) {
  try {
    await main();
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exit(1);
  }
}

/** A line for the user. */
export function say(line) {
  process.stdout.write(`${line}\n`);
}
