/** What a symptom is about, in the order of the groups. */
export const AREAS: Record<string, string> = {
  power: 'power',
  picture: 'picture',
  sound: 'sound',
  media: 'disc or tape in and out',
  reading: 'reading',
  noise: 'noise',
  buttons: 'buttons',
  heat: 'heat',
  smell: 'smell',
  looks: 'looks',
  ours: 'this shop’s own',
};
