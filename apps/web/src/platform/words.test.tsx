import { render, screen } from '@testing-library/react';
import { Sentence } from '../ui/words/sentence';
import { usePreferences } from './preferences';
import { t } from './words';

afterEach(() => usePreferences.setState({ language: 'en' }));

describe('sentences of the pages', () => {
  it('are looked up, filled in, and go by number', () => {
    expect(t('common.close')).toBe('Close');
    expect(t('common.takeOutName', { name: 'Butter' })).toBe('Take out Butter');
    expect([0, 1, 2].map((count) => t('common.countedPieces', { count }))).toEqual(['0 pieces', '1 piece', '2 pieces']);
    expect([0, 1, 7].map((count) => t('kitchen.measuredAgo', { count }))).toEqual(['today', 'yesterday', '7 days ago']);
  });

  it('keep what a baker typed as it is, marks and braces too', () => {
    expect(t('common.takeOutName', { name: '<b>{{name}}</b> & Co $1' })).toBe('Take out <b>{{name}}</b> & Co $1');
  });

  it('stand in brackets in the language that shows what is in no catalogue', () => {
    usePreferences.setState({ language: 'pseudo' });
    expect(t('common.close')).toBe('⟦Close⟧');
    expect(t('common.countedPieces', { count: 1 })).toBe('⟦1 piece⟧');
  });

  it('may have a part in bold, and show a name with a mark in it as it is', () => {
    render(<Sentence say="runs.stepIndexOfSteps" values={{ index: 3, steps: '<i>9</i>' }} />);
    expect(screen.getByText('3').tagName).toBe('B');
    expect(document.body.textContent).toBe('step 3 of <i>9</i>');
  });
});
