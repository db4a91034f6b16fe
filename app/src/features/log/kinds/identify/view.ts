import { joined, type KindView } from '../../kind-view';

export const identify: KindView<'identify'> = {
  title: 'Named',
  icon: 'tag-outline',
  words: (body, names) => {
    const name = (id: string) => names.species?.(id) ?? id;
    return joined(
      name(body.species.profileId),
      ...(body.species.others ?? []).map((o) => `${name(o.profileId)} ${Math.round(o.share * 100)} %`),
      body.species.namedBy && `by ${body.species.namedBy}`,
      body.text,
    );
  },
};
