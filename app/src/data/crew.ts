import { CREW_ROUTES } from '@leggero/contract/crew';
import { useQuery, useQueryClient } from '@tanstack/react-query';

import { call } from './client';

/** What is asked of the server each time: who may sign in is kept on no device. */
const KEYS = {
  members: ['members'],
  invitations: ['invitations'],
  devices: ['devices'],
  passkeys: ['passkeys'],
} as const;

export const useMembers = () => useQuery({ queryKey: KEYS.members, queryFn: () => call(CREW_ROUTES.listMembers) });

/** Invitations that were not taken up yet; none are asked for where only owners may see them. */
export const useInvitations = (asked: boolean) =>
  useQuery({ queryKey: KEYS.invitations, queryFn: () => call(CREW_ROUTES.listInvitations), enabled: asked });

/** What an invitation is for, by its code; '' asks for none. */
export const useInvited = (code: string) =>
  useQuery({
    queryKey: ['invited', code],
    queryFn: () => call(CREW_ROUTES.readInvitation, { body: { code } }),
    enabled: code !== '',
  });

/** The devices on which one is signed in. */
export const useDevices = () => useQuery({ queryKey: KEYS.devices, queryFn: () => call(CREW_ROUTES.listDevices) });

export const usePasskeys = () => useQuery({ queryKey: KEYS.passkeys, queryFn: () => call(CREW_ROUTES.listPasskeys) });

/** Asks anew for who works here and who is invited, or for devices and passkeys. */
export function useCrewRenewed(): (what: keyof typeof KEYS) => void {
  const client = useQueryClient();
  return (what) => void client.invalidateQueries({ queryKey: KEYS[what] });
}
