import type { AnimalView, Schemas } from '../../api/client';

export const stageWord: Record<Schemas['Stage'], string> = {
  sling: 'sling',
  juvenile: 'juvenile',
  subAdult: 'sub-adult',
  adult: 'adult',
  pupa: 'pupa',
  egg: 'eggs',
};

export const partWord: Record<Schemas['BodyPart'], string> = {
  legSpan: 'leg span',
  body: 'body',
  carapace: 'carapace',
  carapaceWidth: 'carapace width',
  abdomenWidth: 'abdomen width',
  headCapsule: 'head capsule',
  foreleg: 'foreleg',
  claw: 'large claw',
};

/** An instar as its group writes it, or a skin counted from arrival where the instar is not known. */
export const instarName = (animal: AnimalView, instar: number): string =>
  animal.growth.value?.instarsAreKnown === true ? `${animal.instarMark}${instar}` : `${instar}.`;

export const hazardWord: Record<NonNullable<Schemas['Hazard']>, string> = {
  unknown: 'Venom not known: counts as dangerous, two people for every open lid',
  none: '',
  irritantHairs: 'Irritant hairs: gloves, no face over the tub',
  painfulSting: 'Stings',
  medicallySignificant: 'Dangerous venom: two people for every open lid, no bare hands',
};
