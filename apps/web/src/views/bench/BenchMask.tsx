import type { ComponentProps } from 'react';
import type { MixSettings, Take } from '../../api/client';
import { useReferencesById } from '../../api/references';
import { useTake } from '../../api/sheets';
import { MaskPainter } from '../../shared/mask/MaskPainter';

type Props = Omit<ComponentProps<typeof MaskPainter>, 'picture' | 'take'> & {
  /** The picture that the mask is one of; without it that of the take on the table. */
  readonly start: MixSettings['start'];
  readonly take: Take | undefined;
};

/** Paints a mask over the picture that it is a mask of: the start picture, or the take on the table. */
export function BenchMask({ start, take: onTable, ...painter }: Props) {
  const { data: from } = useTake(start?.of === 'take' ? start.id : undefined);
  const references = useReferencesById(start?.of === 'reference' ? [start.id] : []);
  const reference = references.get(start?.id ?? '');
  const take = start ? from : onTable;
  const picture = reference
    ? { url: reference.sourceUrl, alt: reference.alt }
    : take?.pictureUrl
      ? { url: take.pictureUrl, alt: take.prompt }
      : undefined;
  return <MaskPainter {...painter} picture={picture} take={take} />;
}
