import { render, screen } from '@testing-library/react';
import { ThemeProvider } from '@mui/material/styles';
import { GoodRange } from './good-range';
import { northLeafTheme } from '../theme/theme';

it('says in words whether a value is inside its good range', () => {
  render(
    <ThemeProvider theme={northLeafTheme('light')}>
      <GoodRange label="Starch" value={0.6} low={0.15} high={0.5} from={0} to={0.8} text="60 %" />
    </ThemeProvider>,
  );
  expect(screen.getByRole('img', { name: 'Starch 60 %, outside its good range' })).toBeInTheDocument();
});
