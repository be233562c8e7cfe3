import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { DateTime } from 'luxon';
import { t } from '../../platform/words';

type Props = {
  readonly label: string;
  readonly value: string;
  readonly onChange: (on: string) => void;
  readonly error?: string | undefined;
};

/** A calendar day, typed or picked; '' is none. What is half typed is told as it stands, so that nothing is lost or guessed. */
export function DayField({ label, value, onChange, error }: Props) {
  const read = value === '' ? null : DateTime.fromISO(value, { zone: 'utc' });
  return (
    <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale="en-GB">
      <DatePicker
        label={label}
        value={read}
        timezone="UTC"
        onChange={(next: DateTime | null) => onChange(next === null ? '' : next.isValid ? next.toISODate()! : t('ui.notADay'))}
        slotProps={{
          textField: { size: 'small', fullWidth: true, error: error !== undefined, helperText: error },
          field: { clearable: true },
        }}
      />
    </LocalizationProvider>
  );
}
