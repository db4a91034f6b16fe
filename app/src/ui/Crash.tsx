import { Component, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { SPACE } from '@/theme/tokens';
import { Button } from './Button';
import { Words } from './Words';

/**
 * A fault in a page must not take the rest with it, nor what was written. It stands inside a route, never around all of
 * them: taking the routes down with the page would lose the way that led there.
 */
export class Crash extends Component<{ children: ReactNode }, { error: Error | null }> {
  override state = { error: null as Error | null };

  static getDerivedStateFromError(error: Error) {
    return { error };
  }

  override render() {
    if (!this.state.error) return this.props.children;
    return (
      <View role="alert" style={styles.crash}>
        <Words kind="question" level={1}>
          This page broke.
        </Words>
        <Words>
          What you have written is safe on this device. Load the page again; if it breaks again, go another
          way.
        </Words>
        <Words kind="small" soft>
          {this.state.error.message}
        </Words>
        <Button mode="contained" onPress={() => window.location.reload()}>
          Load again
        </Button>
      </View>
    );
  }
}

const styles = StyleSheet.create({ crash: { padding: SPACE.l, gap: SPACE.m, maxWidth: 600 } });
