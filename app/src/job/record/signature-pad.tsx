import { createElement, useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import Pad from 'signature_pad';
import { SIGNATURE_BOX } from '@maquette/core/report';
import { usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { useLatest } from '../../ui/use-latest.ts';

/** Strokes as one path: each a line through its points, in the box they were drawn in. */
const pathOf = (pad: Pad): string =>
  pad
    .toData()
    .map(({ points }) => `M${points.map(({ x, y }) => `${Math.round(x)} ${Math.round(y)}`).join('L')}`)
    .join('');

/** A box to sign in with a finger. Whoever cannot draw types the name: that is enough. */
export function SignaturePad({ onDrawn }: { onDrawn: (path: string) => void }) {
  const palette = usePalette();
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<Pad | null>(null);
  const latest = useLatest(onDrawn);
  useEffect(() => {
    // A signature is black on white in any light: so it goes on paper.
    const made = new Pad(canvas.current!, { penColor: '#1E2428', backgroundColor: '#FFFFFF' });
    made.addEventListener('endStroke', () => latest.current(pathOf(made)));
    pad.current = made;
    return () => made.off();
  }, [latest]);
  const { width, height } = SIGNATURE_BOX;
  return (
    <View>
      <Words>Sign here, or leave it empty: the name alone is enough.</Words>
      <View style={[styles.box, { borderColor: palette.quiet, width: width + 2 }]}>
        {createElement('canvas', {
          ref: canvas,
          width,
          height,
          role: 'img',
          'aria-label': 'Box to sign in',
          style: { display: 'block', width, height, touchAction: 'none' },
        })}
      </View>
      <ButtonRow>
        <Button
          label="Clear the signature"
          onPress={() => {
            pad.current?.clear();
            onDrawn('');
          }}
        />
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({ box: { borderWidth: 1, maxWidth: '100%', overflow: 'hidden' } });
