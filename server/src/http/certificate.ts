import { createPrivateKey, X509Certificate } from 'node:crypto';
import { chmod, mkdir, readFile, rename, writeFile } from 'node:fs/promises';
import { isIP } from 'node:net';
import path from 'node:path';

import { generate } from 'selfsigned';

/** What a server that speaks HTTPS shows, in PEM. */
export interface Certificate {
  cert: string;
  key: string;
  /** The authority behind it that devices may trust, PEM; null where the certificate came from elsewhere. */
  authority: string | null;
}

/** Why there is no certificate, as one sentence. */
export class CertificateRefusal extends Error {}

const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
/** Browsers take no certificate of a server for longer (CA/Browser Forum, Baseline Requirements, 398 days). */
const SERVER_DAYS = 397;
/** One that runs out sooner is made anew at a start. */
const LEAST_DAYS_LEFT = 30;

/**
 * The certificate and key in files, PEM. Throws a `CertificateRefusal` for what cannot be read, is none, does not
 * belong together, or is not valid now.
 */
export async function givenCertificate(files: { cert: string; key: string }, now: Date): Promise<Certificate> {
  // One after the other: of two that cannot be read the certificate is told first, at every start.
  const cert = await readAs('TLS_CERT', files.cert);
  const key = await readAs('TLS_KEY', files.key);
  const shown = parsed(cert);
  if (!shown) throw new CertificateRefusal(`TLS_CERT is "${files.cert}", which holds no certificate.`);
  const belongs = isKeyOf(shown, key);
  if (belongs === null) throw new CertificateRefusal(`TLS_KEY is "${files.key}", which holds no key that can be used.`);
  if (!belongs) throw new CertificateRefusal('TLS_KEY does not belong to TLS_CERT.');
  const { from, to } = validityOf(shown);
  if (now < from) throw new CertificateRefusal(`The certificate in TLS_CERT is valid from ${dayOf(from)} only.`);
  if (now > to) throw new CertificateRefusal(`The certificate in TLS_CERT ran out on ${dayOf(to)}: give a newer one.`);
  return { cert, key, authority: null };
}

/**
 * A certificate of the studio's own for `names` (host names and addresses), kept in `folder`. An authority is made at
 * the first start and stays, so that devices trust it once; what it signs is made anew where names changed or it runs
 * out within a month.
 */
export async function madeCertificate({
  folder,
  names,
  now,
}: {
  folder: string;
  names: readonly string[];
  now: Date;
}): Promise<Certificate> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const authority = (await kept(folder, 'authority', now)) ?? (await make(folder, 'authority', authorityOptions(now)));
  const server = await kept(folder, 'server', now);
  const serves = server && isSigned(server.cert, authority.cert) && names.every((name) => isFor(server.cert, name));
  const { cert, key } = serves ? server : await make(folder, 'server', { ...serverOptions(names, now), ca: authority });
  return { cert: `${cert.trim()}\n${authority.cert}`, key, authority: authority.cert };
}

interface Pair {
  cert: string;
  key: string;
}

type Options = NonNullable<Parameters<typeof generate>[1]>;

/** A key as all of today's devices know it, valid from a day before: the clock of a phone may be behind. */
function lasting(days: number, now: Date): Options {
  const at = (day: number) => new Date(now.getTime() + day * DAY_MS);
  return { keyType: 'ec', curve: 'P-256', algorithm: 'sha256', notBeforeDate: at(-1), notAfterDate: at(days) };
}

function authorityOptions(now: Date): Options {
  return {
    ...lasting(AUTHORITY_DAYS, now),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  };
}

function serverOptions(names: readonly string[], now: Date): Options {
  return {
    ...lasting(SERVER_DAYS, now),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) => (isIP(name) ? { type: 7, ip: name } : { type: 2, value: name })),
      },
    ],
  };
}

async function make(folder: string, name: string, options: Options): Promise<Pair> {
  const made = await generate([{ name: 'commonName', value: `Leggero studio ${name}` }], options);
  // The key first: a certificate without its key would be taken for whole.
  await writeWhole(path.join(folder, `${name}.key`), made.private, 0o600);
  await writeWhole(path.join(folder, `${name}.crt`), made.cert, 0o644);
  return { cert: made.cert, key: made.private };
}

/** What was made before, if it is whole and good for another month. */
async function kept(folder: string, name: string, now: Date): Promise<Pair | null> {
  const read = (ending: string) => readFile(path.join(folder, `${name}.${ending}`), 'utf8').catch(() => '');
  const [cert, key] = await Promise.all([read('crt'), read('key')]);
  const shown = parsed(cert);
  if (!shown) return null;
  const { from, to } = validityOf(shown);
  if (now < from || to.getTime() - now.getTime() < LEAST_DAYS_LEFT * DAY_MS) return null;
  return isKeyOf(shown, key) ? { cert, key } : null;
}

async function writeWhole(file: string, text: string, mode: number): Promise<void> {
  await writeFile(`${file}.new`, text, { mode });
  await chmod(`${file}.new`, mode);
  await rename(`${file}.new`, file);
}

async function readAs(variable: string, file: string): Promise<string> {
  return readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
    throw new CertificateRefusal(`${variable} is "${file}", which cannot be read (${error.code}).`);
  });
}

function parsed(cert: string): X509Certificate | null {
  try {
    return new X509Certificate(cert);
  } catch {
    return null;
  }
}

/** Whether a key is that of a certificate; `null` for what is no key. */
function isKeyOf(shown: X509Certificate, key: string): boolean | null {
  try {
    return shown.checkPrivateKey(createPrivateKey(key));
  } catch {
    return null;
  }
}

function isSigned(cert: string, authority: string): boolean {
  return new X509Certificate(cert).verify(new X509Certificate(authority).publicKey);
}

function isFor(cert: string, name: string): boolean {
  const shown = new X509Certificate(cert);
  return (isIP(name) ? shown.checkIP(name) : shown.checkHost(name)) !== undefined;
}

function validityOf({ validFrom, validTo }: X509Certificate): { from: Date; to: Date } {
  return { from: new Date(validFrom), to: new Date(validTo) };
}

const dayOf = (date: Date) => date.toISOString().slice(0, 10);
