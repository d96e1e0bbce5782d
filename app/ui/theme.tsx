import { createContext, useContext, useEffect, useMemo, type ReactNode } from 'react';
import { configureFonts, PaperProvider } from 'react-native-paper';
// By its own path: the package's index would bring all of its parts.
import { MD3LightTheme } from 'react-native-paper/lib/module/styles/themes/v3/LightTheme';
import Svg, { Path } from 'react-native-svg';
import { ICON_PATHS } from './icon-paths';
import { FONT, PALETTES, type Palette, type ThemeName } from './tokens';

const Current = createContext<Palette>(PALETTES.day);
/** The colours at hand. */
export const usePalette = () => useContext(Current);

/** Paper's icons, drawn from the few paths that ship; hidden from readers because a word always stands beside them. */
function Icon({ name, color, size }: { name: string; color?: string; size: number }) {
  const path = ICON_PATHS[name];
  return path === undefined ? null : (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d={path} fill={color ?? 'currentColor'} />
    </Svg>
  );
}

function paperTheme(p: Palette) {
  return {
    ...MD3LightTheme,
    roundness: 0,
    colors: {
      ...MD3LightTheme.colors,
      primary: p.ink,
      onPrimary: p.paper,
      background: p.paper,
      surface: p.raised,
      onSurface: p.ink,
      onBackground: p.ink,
      surfaceVariant: p.paper,
      onSurfaceVariant: p.soft,
      outline: p.soft,
      outlineVariant: p.line,
      error: p.call,
      onError: p.onCall,
      inverseSurface: p.ink,
      inverseOnSurface: p.paper,
      inversePrimary: p.paper,
      secondaryContainer: p.water3,
      onSecondaryContainer: p.ink,
      primaryContainer: p.water3,
      onPrimaryContainer: p.ink,
      elevation: {
        level0: 'transparent',
        level1: p.raised,
        level2: p.raised,
        level3: p.raised,
        level4: p.raised,
        level5: p.raised,
      },
    },
    fonts: configureFonts({ config: { fontFamily: FONT.read, letterSpacing: 0 } }),
  };
}

export function Themed({
  theme,
  outermost = false,
  children,
}: {
  theme: ThemeName;
  /** Of the whole application, not of a part of it. */
  outermost?: boolean;
  children: ReactNode;
}) {
  const palette = PALETTES[theme];
  const paper = useMemo(() => paperTheme(palette), [palette]);
  // What shows beyond the page, as it is pulled or while a part comes, is of the same colour; and what the browser draws
  // itself, an empty box or a calendar, is dark by night.
  useEffect(() => {
    if (!outermost) return;
    const { style } = document.documentElement;
    style.background = palette.paper;
    style.colorScheme = theme === 'night' ? 'dark' : 'light';
  }, [outermost, palette.paper, theme]);
  return (
    <Current.Provider value={palette}>
      <PaperProvider
        theme={paper}
        settings={{
          icon: (props) => <Icon name={String(props.name)} color={props.color} size={props.size} />,
        }}
      >
        {children}
      </PaperProvider>
    </Current.Provider>
  );
}
