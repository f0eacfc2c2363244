import { Slider as Radix } from 'radix-ui';

interface SliderProps {
  label: string;
  /** The value in words, with its unit. */
  text: string;
  min: number;
  max: number;
  step: number;
  value: number;
  onChange: (value: number) => void;
}

/** A value that is tried out by moving it; dragged, or moved with the arrows. */
export function Slider({ label, text, min, max, step, value, onChange }: SliderProps) {
  return (
    <Radix.Root
      min={min}
      max={max}
      step={step}
      value={[value]}
      onValueChange={([next]) => next !== undefined && onChange(next)}
      className="relative flex h-11 w-full touch-none items-center"
    >
      <Radix.Track className="relative h-1 grow bg-line">
        <Radix.Range className="absolute h-full bg-lampmark" />
      </Radix.Track>
      <Radix.Thumb
        aria-label={label}
        aria-valuetext={text}
        className="block size-6 rounded-full border-2 border-lampmark bg-bg"
      />
    </Radix.Root>
  );
}
