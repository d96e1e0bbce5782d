import { cloneElement, type ReactElement, type ReactNode } from 'react';
import { Text } from 'react-native';

/** The router as a list of where one was sent: screens are tested, not the router. */
export const visited: string[] = [];
let params: Record<string, string> = {};
export const at = (next: Record<string, string>) => {
  params = next;
};

const go = (href: string) => {
  visited.push(href);
};
const router = { push: go, replace: go, back: () => go('back') };
export const useRouter = () => router;
export const useLocalSearchParams = () => params;
export const usePathname = () => (params.id ? `/trips/${params.id}/${params.phase ?? 'plan'}` : '/trips');
export const Slot = () => null;
export function Redirect({ href }: { href: string }) {
  go(href);
  return null;
}
export function Link({
  href,
  asChild,
  children,
  ...rest
}: {
  href: string;
  asChild?: boolean;
  children: ReactNode;
}) {
  const press = () => go(href);
  if (asChild)
    return cloneElement(children as ReactElement<Record<string, unknown>>, {
      href,
      role: 'link',
      onPress: press,
      ...rest,
    });
  return (
    <Text {...{ href }} role="link" onPress={press} {...rest}>
      {children}
    </Text>
  );
}
