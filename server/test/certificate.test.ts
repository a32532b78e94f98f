import { createPrivateKey, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import https from 'node:https';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';

import { CertificateRefusal, givenCertificate, madeCertificate } from '../src/http/certificate';

const NOW = new Date('2026-05-02T10:00:00Z');
const NAMES = ['localhost', '127.0.0.1', 'barge.local'];
const days = (count: number) => new Date(NOW.getTime() + count * 86_400_000);

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'leggero-tls-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const make = (now = NOW, names = NAMES) => madeCertificate({ folder, names, now });
const shown = ({ cert }: { cert: string }) => new X509Certificate(cert);

describe('a certificate of the studio’s own', () => {
  it('is for every name and address asked for, signed by an authority that signs nothing else, for a year', async () => {
    const made = await make();
    const own = shown(made);
    const authority = new X509Certificate(made.authority!);
    for (const name of ['localhost', 'barge.local']) expect(own.checkHost(name)).toBe(name);
    expect(own.checkIP('127.0.0.1')).toBe('127.0.0.1');
    expect(own.checkHost('elsewhere.local')).toBeUndefined();
    expect(own.verify(authority.publicKey)).toBe(true);
    expect([own.ca, authority.ca]).toEqual([false, true]);
    expect(own.checkPrivateKey(createPrivateKey(made.key))).toBe(true);
    expect((new Date(own.validTo).getTime() - NOW.getTime()) / 86_400_000).toBeCloseTo(397, 1);
  });

  it('is spoken by a server to whoever trusts the authority', async () => {
    const made = await madeCertificate({ folder, names: NAMES, now: new Date() });
    const server = https.createServer({ cert: made.cert, key: made.key }, (_, response) => response.end('kept'));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as AddressInfo;
    const ask = (ca?: string) =>
      new Promise((resolve) => {
        https
          .get({ port, host: '127.0.0.1', ca }, (answer) => answer.on('data', (data) => resolve(String(data))))
          .on('error', (error: NodeJS.ErrnoException) => resolve(error.code));
      });
    expect(await ask(made.authority!)).toBe('kept');
    expect(await ask()).toMatch(/SELF_SIGNED_CERT|UNABLE_TO/);
    server.close();
    server.closeAllConnections();
  });

  it('stays from start to start, and is made anew for a new name or before it runs out, by the same authority', async () => {
    const first = await make();
    expect(await make(days(300))).toEqual(first);
    const renewed = await make(days(380));
    expect(renewed.cert).not.toBe(first.cert);
    expect(renewed.authority).toBe(first.authority);
    const named = await make(days(380), [...NAMES, '10.0.0.7']);
    expect(shown(named).checkIP('10.0.0.7')).toBe('10.0.0.7');
    expect(named.authority).toBe(first.authority);
    expect((await make(days(3640))).authority).not.toBe(first.authority);
  });

  it('is made anew where a file is broken, and signed anew where the authority is', async () => {
    const first = await make();
    writeFileSync(path.join(folder, 'server.key'), 'tin');
    const mended = await make();
    expect(shown(mended).checkPrivateKey(createPrivateKey(mended.key))).toBe(true);
    expect(mended.authority).toBe(first.authority);
    rmSync(path.join(folder, 'authority.key'));
    const other = await make();
    expect(other.authority).not.toBe(first.authority);
    expect(shown(other).verify(new X509Certificate(other.authority!).publicKey)).toBe(true);
  });
});

describe('a certificate that is given', () => {
  const place = (name: string) => path.join(folder, name);
  const given = (cert: string, key: string, now = NOW) => givenCertificate({ cert: place(cert), key: place(key) }, now);

  it('is taken as it is', async () => {
    await make();
    expect(await given('server.crt', 'server.key')).toEqual({
      cert: readFileSync(place('server.crt'), 'utf8'),
      key: readFileSync(place('server.key'), 'utf8'),
      authority: null,
    });
  });

  it.each([
    ['is not there', 'none.crt', 'server.key', NOW, /TLS_CERT is ".*none.crt", which cannot be read \(ENOENT\)/],
    ['is none', 'tin', 'server.key', NOW, /TLS_CERT is ".*tin", which holds no certificate/],
    ['has no key', 'server.crt', 'tin', NOW, /TLS_KEY is ".*tin", which holds no key/],
    ['has another’s key', 'server.crt', 'authority.key', NOW, /TLS_KEY does not belong to TLS_CERT/],
    ['is not valid yet', 'server.crt', 'server.key', days(-2), /valid from 2026-05-01 only/],
    ['ran out', 'server.crt', 'server.key', days(400), /ran out on 2027-06-03: give a newer one/],
  ])('is refused in a sentence where it %s', async (_, cert, key, now, sentence) => {
    await make();
    writeFileSync(place('tin'), 'tin');
    const refusal = given(cert, key, now);
    await expect(refusal).rejects.toThrow(CertificateRefusal);
    await expect(refusal).rejects.toThrow(sentence);
  });
});
