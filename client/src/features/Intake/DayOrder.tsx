import { Choice } from '../../ui/Field';

/** Which of two figures of a date is the day. */
export function DayOrder({
  dayFirst,
  onChange,
}: {
  dayFirst: boolean;
  onChange: (dayFirst: boolean) => void;
}) {
  return (
    <Choice
      label="3/5 is"
      options={[
        ['day', '3 May'],
        ['month', '5 March'],
      ]}
      value={dayFirst ? 'day' : 'month'}
      onChange={(which) => onChange(which === 'day')}
    />
  );
}
