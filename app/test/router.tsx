import { createElement, isValidElement, cloneElement, useEffect, type ReactNode } from 'react';
import { create } from 'zustand';

/**
 * Stands for the router in tests of single pages: remembers where it was sent, and gives pages the address they ask
 * for. The real router is driven by the journeys in the browser.
 */
interface Address {
  path: string;
  params: Record<string, string>;
}
const useAddress = create<Address>(() => ({ path: '/', params: {} }));

export function goTo(path: string, params: Record<string, string> = {}): void {
  useAddress.setState({ path, params });
}

export const visited: string[] = [];
const send = (path: unknown) => {
  visited.push(String(path));
};
export const router = {
  navigate: send,
  replace: send,
  setParams: (params: Record<string, string>) => useAddress.setState((at) => ({ params: { ...at.params, ...params } })),
};

export const usePathname = () => useAddress((at) => at.path);
export const useLocalSearchParams = () => useAddress((at) => at.params);
export const Slot = () => null;
export const Redirect = ({ href }: { href: string }) => {
  useEffect(() => send(href), [href]);
  return null;
};

/** A link that remembers being followed. */
export function Link({ href, children }: { href: string; children: ReactNode; asChild?: boolean }) {
  if (isValidElement<{ onPress?: () => void }>(children)) {
    return cloneElement(children, { onPress: () => send(href) });
  }
  return createElement('a', { href }, children);
}
