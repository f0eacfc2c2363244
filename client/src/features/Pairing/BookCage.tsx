import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { shortDate } from '../../ui/dates';
import { BookingForm } from '../Chores/BookingForm';

interface Props {
  pair: string;
  night: string;
  tonight: string;
  cages: readonly Schemas['Gear'][];
}

const takenOn = (cage: Schemas['Gear'], night: string) =>
  cage.bookings.some((b) => b.from <= night && night <= b.to);

/** Books a net cage for a pair: the first that is free on the night that suits them best. */
export function BookCage({ pair, night, tonight, cages }: Props) {
  const [open, setOpen] = useState(false);
  const booked = cages.flatMap((c) => c.bookings).find((b) => b.for === pair && b.to >= tonight);
  if (booked !== undefined) {
    return <p className="text-13 text-mosstext">A cage is booked for {shortDate(booked.from, tonight)}.</p>;
  }
  const free = cages.find((c) => !takenOn(c, night));
  if (free === undefined) {
    return cages.length === 0 ? null : (
      <p className="text-13 text-soft">No cage is free on {shortDate(night, tonight)}.</p>
    );
  }
  return (
    <>
      <Button writes kind="link" className="text-13" onClick={() => setOpen(true)}>
        Book for {night === tonight ? 'tonight' : shortDate(night, tonight)}: {free.name}
        <span className="sr-only">: {pair}</span>
      </Button>
      {open && <BookingForm gear={free} night={night} what={pair} onClose={() => setOpen(false)} />}
    </>
  );
}
