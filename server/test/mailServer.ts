import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { text } from 'node:stream/consumers';

import PostalMime, { type Email } from 'postal-mime';
import { SMTPServer, type SMTPServerOptions } from 'smtp-server';

/** Who may hand mails over. */
export const SENDER = { user: 'leggero', pass: 'k:elp/roe' };

/** A mail server of its own that keeps what it takes. */
export class MailServer {
  readonly taken: Email[] = [];
  /** Whether it takes anything. */
  willing = true;
  private readonly waiting: ((email: Email) => void)[] = [];
  private readonly server: SMTPServer;

  constructor(options: SMTPServerOptions = {}) {
    this.server = new SMTPServer({
      logger: false,
      disabledCommands: ['STARTTLS'],
      allowInsecureAuth: true,
      onAuth: ({ username, password }, _, answer) =>
        username === SENDER.user && password === SENDER.pass
          ? answer(null, { user: username })
          : answer(new Error('not you')),
      onRcptTo: (_, __, answer) => answer(this.willing ? null : new Error('the mailbox is full')),
      onData: (stream, _, answer) => {
        void text(stream)
          .then((raw) => PostalMime.parse(raw))
          .then((email) => {
            const next = this.waiting.shift();
            if (next) next(email);
            else this.taken.push(email);
            answer();
          });
      },
      ...options,
    });
    // What a client does wrong is told to it.
    this.server.on('error', () => undefined);
  }

  async listen(): Promise<number> {
    const listening = this.server.listen(0, '0.0.0.0');
    await once(listening, 'listening');
    return (listening.address() as AddressInfo).port;
  }

  /** The next mail that it takes, or took and nobody has read yet. */
  next(): Promise<Email> {
    const taken = this.taken.shift();
    return taken ? Promise.resolve(taken) : new Promise((resolve) => this.waiting.push(resolve));
  }

  close(): Promise<void> {
    return new Promise((resolve) => this.server.close(resolve));
  }
}
