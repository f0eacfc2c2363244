import type { ReactNode } from 'react';
import type { AnimalView, Schemas } from '../../api/client';
import type { LengthUnit } from '../../ui/lengths';

export type PageSection = Schemas['PageSection'];

/** A part of an animal's page; its feature draws it, the server says whether and where it stands. */
export type PagePart = (props: { animal: AnimalView; unit: LengthUnit }) => ReactNode;

/** Whether the page of an animal has a part. */
export const hasPart = (animal: AnimalView, section: PageSection): boolean =>
  Object.values(animal.layout).some((column) => column.includes(section));
