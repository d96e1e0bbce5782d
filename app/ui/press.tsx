import type { ReactNode } from 'react';
import { Pressable, type ViewStyle } from 'react-native';
import { Link, type Href } from 'expo-router';
import { T } from './text';
import { TOUCH } from './tokens';

interface Inside {
  children: ReactNode;
  label?: string;
  style?: ViewStyle;
}

/** A card or a row that leads somewhere: a real link, so that Enter, a middle click and copying the address work. */
export function CardLink({
  href,
  label,
  current,
  style,
  children,
}: Inside & { href: string; current?: boolean }) {
  return (
    <Link href={href as Href} asChild>
      <Pressable
        {...(label ? { 'aria-label': label } : {})}
        {...(current ? { 'aria-current': 'page' as const } : {})}
        style={style}
      >
        {children}
      </Pressable>
    </Link>
  );
}

/** A word with a line under it that leads somewhere. */
export function TextLink({ href, label, children }: { href: string; label?: string; children: string }) {
  return (
    <CardLink
      href={href}
      {...(label ? { label } : {})}
      style={{ minHeight: TOUCH, justifyContent: 'center', alignSelf: 'flex-start' }}
    >
      <T style={{ textDecorationLine: 'underline' }}>{children}</T>
    </CardLink>
  );
}

/** What is pressed and is no plain button: a figure that opens, a field that opens a list. A native button all the same. */
export function Press({
  label,
  onPress,
  expanded,
  opens,
  id,
  style,
  children,
}: Inside & { label: string; onPress: () => void; expanded?: boolean; opens?: 'dialog'; id?: string }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-expanded={expanded}
      {...(opens ? { 'aria-haspopup': opens } : {})}
      {...(id ? { nativeID: id } : {})}
      onPress={onPress}
      style={style}
    >
      {children}
    </Pressable>
  );
}
