import { useWindowDimensions } from 'react-native';

/** From this width on there is a rail at the left and list and detail side by side. */
const WIDE_PX = 1000;

/** Whether the window is wide. */
export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE_PX;
}
