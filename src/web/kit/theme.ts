import { useEffect, useState } from 'react';

export type Theme = 'light' | 'dark';

const KEY = 'sounding.theme';

function firstTheme(): Theme {
  const kept = localStorage.getItem(KEY);
  if (kept === 'light' || kept === 'dark') return kept;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

/** The theme in use and a way to turn it; the choice is kept on this device. */
export function useTheme(): readonly [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(firstTheme);
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
    localStorage.setItem(KEY, theme);
  }, [theme]);
  return [theme, () => setTheme(theme === 'light' ? 'dark' : 'light')];
}
