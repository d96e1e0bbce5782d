import { View } from 'react-native';
import { Link, usePathname } from 'expo-router';
import { Logo } from '../../ui/logo';
import { useWide } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { FONT, TOUCH } from '../../ui/tokens';

export const PLACES = [
  { href: '/trips', title: 'Trips', key: 't' },
  { href: '/shed', title: 'Shed', key: 's' },
  { href: '/practice', title: 'Practice', key: 'p' },
  { href: '/watch', title: 'Watch', key: 'w' },
] as const;

/** The four places: along the top on a wide screen, in the bottom bar on a phone. */
export function Nav() {
  const p = usePalette();
  const wide = useWide();
  const path = usePathname();
  return (
    <View
      role="navigation"
      aria-label="Places"
      style={
        wide
          ? {
              flexDirection: 'row',
              alignItems: 'center',
              borderBottomWidth: 1,
              borderColor: p.line,
              paddingHorizontal: 24,
              backgroundColor: p.paper,
            }
          : { flexDirection: 'row', backgroundColor: p.paper, borderTopWidth: 1, borderColor: p.line }
      }
    >
      {wide ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12, flex: 1 }}>
          <Logo />
          <T as="title" style={{ fontSize: 22 }}>
            Escale
          </T>
        </View>
      ) : null}
      {PLACES.map(({ href, title }) => {
        const here = path.startsWith(href);
        return (
          <Link
            key={href}
            href={href}
            aria-current={here ? 'page' : undefined}
            style={{
              flex: wide ? undefined : 1,
              minHeight: wide ? TOUCH : 52,
              paddingHorizontal: wide ? 14 : 0,
              lineHeight: wide ? TOUCH : here ? 48 : 52,
              textAlign: 'center',
              fontFamily: FONT.read,
              fontSize: 16,
              fontWeight: here ? '800' : '600',
              color: here ? p.ink : p.soft,
              borderColor: p.ink,
              borderTopWidth: here && !wide ? 4 : 0,
              borderBottomWidth: here && wide ? 4 : 0,
            }}
          >
            {title}
          </Link>
        );
      })}
    </View>
  );
}
