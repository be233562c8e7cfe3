import { useEffect } from 'react';
import { useAnswer, Board, useFormula, Waiting, AllergenLine, OnWholeBoard, stageQuestions } from '../board/doors';
import { useDraft } from '../formulas/doors';
import { BlendAnswers } from './blend-answers';
import { BlendPicture } from './blend-picture';
import { BlendRows } from './blend-rows';
import { FindBlends, firstGoals } from './find-blends';
import { MustSuit } from './must-suit';
import { useBlendSearch } from './blend-search';

export function BlendBoard() {
  const formulaId = useDraft((state) => state.formulaId);
  const { evaluation } = useAnswer();
  const formula = useFormula();
  const blend = evaluation.blend.state === 'waiting' ? null : evaluation.blend.result;
  useEffect(() => {
    if (blend) useBlendSearch.getState().open(formulaId, firstGoals(blend, formula));
    // The first wishes are made from the blend as it is when its formula is opened; later changes do not touch them.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [formulaId, blend !== null]);
  return (
    <Board
      question={stageQuestions.blend}
      set={
        <>
          <BlendRows />
          <MustSuit />
          <AllergenLine />
          <OnWholeBoard>
            <FindBlends />
          </OnWholeBoard>
        </>
      }
    >
      {blend ? (
        <>
          <BlendPicture />
          <BlendAnswers />
        </>
      ) : (
        <Waiting stage="blend" />
      )}
    </Board>
  );
}
