import { joined, type KindView } from '../../kind-view';

export const move: KindView<'move'> = {
  title: 'Moved',
  icon: 'transfer-right',
  words: (body, names) => joined(`carried to ${names.place?.(body.placeId) ?? 'another place'}`, body.text),
};
