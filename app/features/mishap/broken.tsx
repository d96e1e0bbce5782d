import { View } from 'react-native';
import type { ErrorBoundaryProps } from 'expo-router';
import { Button, Row } from '../../ui/button';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { Page } from '../../ui/page';
import { BROKEN, HELP } from './words';

/** The words for help, for whoever is in trouble while a page is not there. They lean on nothing that could fail. */
export function HelpWords() {
  return (
    <View role="group" aria-label={HELP.title} style={{ gap: 6 }}>
      <T as="section" heading={2}>
        {HELP.title}
      </T>
      {HELP.lines.map((line) => (
        <T key={line} style={{ fontSize: 18, lineHeight: 26 }}>
          {line}
        </T>
      ))}
    </View>
  );
}

/** A page that failed: what that means, the words for help, and the ways on. Nothing that was kept is lost by it. */
export function Broken({ error, retry }: ErrorBoundaryProps) {
  return (
    <Page title={BROKEN.title} lead={BROKEN.lead}>
      <Row>
        <Button kind="main" onPress={() => void retry()}>
          {BROKEN.retry}
        </Button>
      </Row>
      <TextLink href="/trips">{BROKEN.trips}</TextLink>
      <HelpWords />
      <T as="small">{error.message}</T>
    </Page>
  );
}

/** An address at which nothing stands. */
export function NotFound() {
  return (
    <Page title={BROKEN.nowhere} lead={BROKEN.nowhereLead}>
      <TextLink href="/trips">{BROKEN.trips}</TextLink>
    </Page>
  );
}
