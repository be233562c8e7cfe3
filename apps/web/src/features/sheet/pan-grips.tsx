import { latticeOf, type Pan, type Part } from '@north-leaf/core';
import { useVoice } from '../../platform/preferences';
import { Grip } from '../../ui/drawing/grip';
import { setValue, useDraft } from '../formulas/doors';
import { t } from '../../platform/words';

/** A part as it is drawn: its middle and its width, mm from the top left of the drawing. */
type DrawnPart = { readonly xMm: number; readonly yMm: number; readonly widthMm: number };
type Props = { readonly part: Part; readonly index: number; readonly at: DrawnPart; readonly pan: Pan | null; readonly pxPerMm: number };

/** Where the size of a part can be drawn out: its edge, the ring it is filled to, a strip and the gap beside it. */
export function PanGrips({ part: { shape }, index, at, pan, pxPerMm }: Props) {
  const voice = useVoice();
  const grip = (name: string, member: string, sizeMm: number, most: number, xMm: number, perMm = 1, least = 0) => (
    <Grip
      key={member}
      xMm={xMm}
      yMm={at.yMm}
      pxPerMm={pxPerMm}
      label={name}
      valueMm={sizeMm}
      valueText={voice.exact(sizeMm, 'length')}
      cursor="ew-resize"
      grasp={() => (right, _down, step) => {
        const to = Math.round(sizeMm + right * perMm);
        useDraft.getState().edit(step, setValue(`/sheet/parts/${index}/shape/${member}`, Math.min(most, Math.max(least, to))));
      }}
    />
  );
  const edgeMm = at.xMm + at.widthMm / 2;
  switch (shape.kind) {
    case 'lining':
      return grip(t('sheet.howFarTheLiningHangsOver'), 'overhangMm', shape.overhangMm, 60, edgeMm);
    case 'lid':
      return grip(t('sheet.howFarTheLidHangsOver'), 'overhangMm', shape.overhangMm, 60, edgeMm);
    case 'freeForm':
      return [
        // Drawn from one side, it grows on both.
        grip(t('sheet.howFarAcrossItIsFilled'), 'filledMm', shape.filledMm, 600, at.xMm + shape.filledMm / 2, 2, 20),
        grip(t('sheet.howFarItsEdgeIsFoldedIn'), 'foldMm', shape.foldMm, 150, edgeMm),
      ];
    case 'lattice': {
      const strips = pan
        ? latticeOf(pan, { stripMm: shape.stripMm, gapMm: shape.gapMm, overhangMm: shape.overhangMm }, 'lattice').along
        : [];
      // The first strip right of the middle, and the one after it.
      const right = strips.filter(({ atMm }) => atMm > -0.01);
      const pitchMm = shape.stripMm + shape.gapMm;
      return right
        .slice(0, 2)
        .map(({ atMm }, i) =>
          i === 0
            ? grip(
                t('sheet.widthOfAStrip'),
                'stripMm',
                shape.stripMm,
                100,
                at.xMm + atMm + shape.stripMm / 2,
                1 / (atMm / pitchMm + 0.5),
                3,
              )
            : grip(t('sheet.gapBetweenStrips'), 'gapMm', shape.gapMm, 100, at.xMm + atMm - shape.stripMm / 2, pitchMm / atMm),
        );
    }
    default:
      return null;
  }
}
