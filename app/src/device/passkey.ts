import {
  browserSupportsWebAuthn,
  startAuthentication,
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';

/** Whether this browser has passkeys at this address: over https, or on this very machine by its name. */
export const hasPasskeys = (): boolean => browserSupportsWebAuthn() && window.isSecureContext;

/** What a device answers, as it is sent; null where somebody thought better of it, or it has no such key. */
type Answer = Record<string, unknown> | null;

/** Has the device make a passkey. */
export function makePasskey(options: Record<string, unknown>): Promise<Answer> {
  return answered(startRegistration({ optionsJSON: options as unknown as PublicKeyCredentialCreationOptionsJSON }));
}

/** Has the device sign by a passkey that it keeps. */
export function signByPasskey(options: Record<string, unknown>): Promise<Answer> {
  return answered(startAuthentication({ optionsJSON: options as unknown as PublicKeyCredentialRequestOptionsJSON }));
}

async function answered(asking: Promise<object>): Promise<Answer> {
  try {
    return { ...(await asking) };
  } catch (error) {
    // The browser says the same of a "no", of a key that is not there, and of one that is there already.
    if (error instanceof Error) return null;
    throw error;
  }
}
