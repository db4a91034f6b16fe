import type { BodyKind, BodyPart } from '../facts';

type Measures = Omit<BodyPart, 'id' | 'kind'>;

const PORT = { boreMm: 12 };

/** What keepers mostly have of each kind, as the first answer of a form. Priors. */
const USUAL: Record<
  BodyKind,
  Pick<Measures, 'widthMm' | 'depthMm' | 'heightMm' | 'material' | 'water'> & Partial<Measures>
> = {
  'joint-chamber': {
    widthMm: 40,
    depthMm: 40,
    heightMm: 25,
    material: 'plastic',
    water: 'none',
    ports: [PORT, PORT],
  },
  box: { widthMm: 120, depthMm: 80, heightMm: 60, material: 'plastic', water: 'none' },
  outworld: {
    widthMm: 200,
    depthMm: 150,
    heightMm: 100,
    material: 'plastic',
    water: 'none',
    ports: [PORT, PORT],
  },
  nest: {
    widthMm: 90,
    depthMm: 60,
    heightMm: 12,
    material: 'plastic',
    water: 'sponge',
    ports: [PORT],
    rooms: 3,
  },
  cell: { widthMm: 40, depthMm: 30, heightMm: 12, material: 'aerated-concrete', water: 'stone' },
  dish: { widthMm: 50, depthMm: 50, heightMm: 12, round: true, material: 'plaster', water: 'stone' },
  drinker: {
    widthMm: 14,
    depthMm: 14,
    heightMm: 100,
    round: true,
    material: 'glass',
    water: 'plugged-tube',
    waterMl: 10,
  },
};

/** A part of a kind as it mostly is. */
export const usualBody = (id: string, kind: BodyKind): BodyPart => ({
  id,
  kind,
  round: false,
  meshMm: null,
  ports: [],
  rooms: 1,
  ...USUAL[kind],
});
