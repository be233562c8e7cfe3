import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { usePreferences, type UnitSystem } from '../../platform/preferences';

/** Which units come first. */
export function UnitToggle() {
  const { units, setUnits } = usePreferences();
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={units}
      onChange={(_, next: UnitSystem | null) => next && setUnits(next)}
      aria-label="Units"
    >
      <ToggleButton value="metric">g · °C</ToggleButton>
      <ToggleButton value="imperial">oz · °F</ToggleButton>
    </ToggleButtonGroup>
  );
}
