import { accountOf } from './access/accounts';
import { createAuth } from './access/auth';
import { passwordCode } from './access/codes';
import { connect } from './db/connect';

/** Gives a code for a new password of an account, by its name: for who keeps the records on their machine anyway. */
async function main(): Promise<void> {
  const { DATABASE_URL = '', LEGGERO_SECRET = '' } = process.env;
  const [, , who = ''] = process.argv;
  const database = connect({ url: DATABASE_URL });
  try {
    const account = await accountOf(database, who);
    if (account) {
      const auth = createAuth({ database, secret: LEGGERO_SECRET, secure: false });
      const { code } = await passwordCode(auth, account.id);
      process.stdout.write(`${code}\n`);
    }
  } finally {
    await database.$client.end();
  }
}

await main();
