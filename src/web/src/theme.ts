// Our own tokens over Ant Design: ink on flour, yellow for what to do, red for now and trouble.
import { theme, type ThemeConfig } from 'antd';
import { useSyncExternalStore } from 'react';

const wish = (query: string) => {
  const list = window.matchMedia(query);
  const heard = (changed: () => void) => {
    list.addEventListener('change', changed);
    return () => list.removeEventListener('change', changed);
  };
  return () => useSyncExternalStore(heard, () => list.matches);
};
export const useDark = wish('(prefers-color-scheme: dark)');
export const useStill = wish('(prefers-reduced-motion: reduce)');

export const tokens = (dark: boolean, still: boolean): ThemeConfig => ({
  algorithm: dark ? theme.darkAlgorithm : theme.defaultAlgorithm,
  token: {
    fontFamily: "'Atkinson Hyperlegible', system-ui, sans-serif",
    fontSize: 16,
    borderRadius: 10,
    controlHeight: 44,
    colorPrimary: dark ? '#8fb8d8' : '#17324a',
    colorLink: dark ? '#9cc6e6' : '#1d5c8f',
    colorError: dark ? '#ff8a66' : '#b5330b',
    colorText: dark ? '#e8eff3' : '#17324a',
    colorTextPlaceholder: dark ? '#9fb2bf' : '#5a6e7d',
    colorBgContainer: dark ? '#1c2c39' : '#ffffff',
    colorBgElevated: dark ? '#22343f' : '#ffffff',
    colorBorder: dark ? '#5d7485' : '#8496a3',
    motion: !still,
    motionDurationMid: '0.12s',
  },
  components: {
    Segmented: {
      trackPadding: 0,
      itemSelectedBg: dark ? '#3c566a' : '#17324a',
      itemSelectedColor: '#ffffff',
    },
  },
});
