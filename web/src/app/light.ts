/** How light this device shows the rooms and the bench. */
export type Light = 'as it is' | 'dark' | 'light';

export const LIGHTS: Record<Light, string> = {
  'as it is': 'rooms light, bench dark',
  dark: 'all dark',
  light: 'all light',
};

const KEPT = 'light';
const CLASSES: Record<Light, string> = { 'as it is': '', dark: 'dark', light: 'lit' };

export const light = {
  now(): Light {
    const kept = localStorage.getItem(KEPT);
    return kept !== null && kept in LIGHTS ? (kept as Light) : 'as it is';
  },
  set(next: Light) {
    localStorage.setItem(KEPT, next);
    light.shine();
  },
  /** Shows it so. */
  shine() {
    const classes = document.documentElement.classList;
    classes.remove('dark', 'lit');
    const name = CLASSES[light.now()];
    if (name) {
      classes.add(name);
    }
  },
};
